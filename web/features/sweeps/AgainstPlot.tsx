import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import type { Against, Channel, SweepBand } from '@lettura/core/sweep';
import { useEffect, useState } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { niceTicks, roomyDomain } from './niceTicks.ts';
import type { AskSweep } from './useSweepWorker.ts';

export interface AgainstPlotProps {
  ask: AskSweep;
  band: SweepBand;
  channels: readonly Pick<Channel, 'name' | 'unit'>[];
}

const COLUMNS = 400;
const TICKS = 7;
const HEIGHT_PX = 300;

/** One channel against another, between the lines where it belongs: a break at one place stands out at once. */
export function AgainstPlot({ ask, band, channels }: AgainstPlotProps) {
  const { palette } = useTheme();
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
  if (!plot) return null;
  const { fromX, toX, lowest, highest } = plot;
  const rows = Array.from(lowest, (low, i) => {
    const x = fromX + ((toX - fromX) * (i + 0.5)) / COLUMNS;
    return { x, between: Number.isNaN(low) ? null : [low, highest[i]!], ...bandAt(x) };
  });
  const ends = rows.flatMap(({ between, lowest: low, highest: high }) => [...(between ?? []), low, high]);
  const domain = roomyDomain(
    ends.reduce((a, b) => Math.min(a, b), Infinity),
    ends.reduce((a, b) => Math.max(a, b), -Infinity),
  );
  const ink = palette.text.primary;
  const edge = {
    type: 'linear',
    stroke: palette.standing.proven,
    strokeDasharray: '5 4',
    dot: false,
    activeDot: false,
    isAnimationActive: false,
  } as const;
  const label = (i: number) =>
    [channels[i]?.name, channels[i]?.unit && `(${channels[i].unit})`].filter(Boolean).join(' ');
  return (
    <div
      role="img"
      aria-label={`${label(up)} against ${label(along)}, with the band where it belongs dashed`}
    >
      <Typography variant="body2" sx={{ fontWeight: 650 }}>
        {label(up)} against {label(along)}
      </Typography>
      <ResponsiveContainer width="100%" height={HEIGHT_PX}>
        <ComposedChart
          data={rows}
          margin={{ top: 6, right: 10, bottom: 16, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke={palette.divider} strokeOpacity={0.5} />
          <XAxis
            dataKey="x"
            type="number"
            domain={[fromX, toX]}
            ticks={niceTicks(fromX, toX, TICKS)}
            stroke={ink}
            label={{ value: label(along), position: 'insideBottom', offset: -8, fill: ink }}
          />
          <YAxis width={64} stroke={ink} domain={domain} ticks={niceTicks(...domain, TICKS)} interval={0} />
          <Line dataKey="lowest" {...edge} />
          <Line dataKey="highest" {...edge} />
          <Area
            dataKey="between"
            type="linear"
            stroke={ink}
            strokeWidth={1.4}
            fill={ink}
            fillOpacity={0.85}
            isAnimationActive={false}
            activeDot={false}
            connectNulls
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
