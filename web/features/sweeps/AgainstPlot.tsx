import Typography from '@mui/material/Typography';
import type { Against, Channel, SweepBand } from '@lettura/core/recording/sweep';
import { useEffect, useState } from 'react';
import {
  extremesOf,
  frameOf,
  paintAcross,
  paintBand,
  paintEnvelope,
  paintValues,
  PlotCanvas,
  roomyDomain,
  useInk,
  usePainter,
} from '../../ui/plot/index.ts';
import type { AskSweep } from './useSweepWorker.ts';
import { t } from '../../ui/words.ts';

export interface AgainstPlotProps {
  ask: AskSweep;
  band: SweepBand;
  channels: readonly Pick<Channel, 'name' | 'unit'>[];
}

const COLUMNS = 400;
const TICKS = 7;
const HEIGHT_PX = 300;
const BELOW_PX = 38;

/** One channel against another, between the lines where it belongs: a break at one place stands out at once. */
export function AgainstPlot({ ask, band, channels }: AgainstPlotProps) {
  const ink = useInk();
  const [plot, setPlot] = useState<Against>();
  const { along, up, bandAt } = band;
  useEffect(() => {
    let current = true;
    void ask('against', { along, up, columns: COLUMNS }).then((answer) => {
      if (current && answer.ok) setPlot(answer.value);
    });
    return () => {
      current = false;
    };
  }, [ask, along, up]);
  const label = (i: number) =>
    [channels[i]?.name, channels[i]?.unit && `(${channels[i].unit})`].filter(Boolean).join(' ');
  const canvas = usePainter((surface) => {
    if (!plot) return;
    const across = [plot.fromX, plot.toX] as const;
    const [low, high] = extremesOf(plot);
    const ends = across.map(bandAt);
    const domain = roomyDomain(
      Math.min(low, ...ends.map(({ lowest }) => lowest)),
      Math.max(high, ...ends.map(({ highest }) => highest)),
    );
    const frame = frameOf(surface, across, domain, BELOW_PX);
    paintValues(surface, frame, domain, ink);
    paintAcross(surface, frame, across, { ticks: TICKS, label: label(along), ink });
    paintBand(surface, frame, across, bandAt, ink);
    paintEnvelope(surface, frame, plot, { colour: ink.line, width: 1.4, across: COLUMNS });
  });
  if (!plot) return null;
  return (
    <>
      <Typography variant="body2" sx={{ fontWeight: 650 }}>
        {t('ui-sweeps.against', { label: label(up), label2: label(along) })}
      </Typography>
      <PlotCanvas
        canvas={canvas}
        label={t('ui-sweeps.against-band-where-belongs-dashed', { label: label(up), label2: label(along) })}
        heightPx={HEIGHT_PX}
      />
    </>
  );
}
