import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { JobSheet, RecordingInfo } from '@lettura/contract';
import { differenceOf, type Envelope, type SweepFinding } from '@lettura/core/recording/sweep';
import type { Telegrams } from '@lettura/core/recording/telegram';
import { useEffect, useState, type KeyboardEvent, type RefObject } from 'react';
import { t } from '../../ui/words.ts';
import { BesideChoice, NOTHING_BESIDE } from './BesideChoice.tsx';
import { MarkField } from './MarkField.tsx';
import { momentDecimals, pointed, type LaidRulers } from './rulers.ts';
import { RulerPanel } from './RulerPanel.tsx';
import { SweepOverview } from './SweepOverview.tsx';
import { SweepStrip } from './SweepStrip.tsx';
import { useBeside } from './useBeside.ts';
import type { Revise } from './useRevise.ts';
import { usePlotHand } from './usePlotHand.ts';
import type { AskSweep } from './useSweepWorker.ts';
import type { useView } from './useView.ts';

const COLUMNS = 700;
const STRIP_HEIGHTS_PX = [330, 235, 180, 145];

export interface SweepPlotsProps {
  recording: RecordingInfo;
  sheet: JobSheet | undefined;
  ask: AskSweep;
  looks: ReturnType<typeof useView>;
  laid: LaidRulers;
  marked: SweepFinding | undefined;
  /** What is drawn, for the picture of it. */
  plot: RefObject<HTMLDivElement | null>;
  revise: Revise;
  /** What the signal says, where it says it in telegrams. */
  telegrams: Telegrams | undefined;
}

/** Every channel over time, in the stretch that is looked at; read off by rulers, and beside another recording. */
export function SweepPlots(props: SweepPlotsProps) {
  const { recording, sheet, ask, looks, laid, marked, plot, revise, telegrams } = props;
  const { channels, durationSeconds, findings, marks } = recording;
  const { view, put, zoom } = looks;
  const { fromSeconds, toSeconds } = view;
  const [envelopes, setEnvelopes] = useState<Envelope[]>();
  const [shown, setShown] = useState(view);
  const [rulers, setRulers] = laid;
  const [beside, setBeside] = useState(NOTHING_BESIDE);
  useEffect(() => {
    let current = true;
    const all = channels.map((_, i) => i);
    void ask('envelope', { channels: all, fromSeconds, toSeconds, columns: COLUMNS }).then((answer) => {
      if (!current || !answer.ok) return;
      setEnvelopes(answer.value);
      setShown({ fromSeconds, toSeconds });
    });
    return () => {
      current = false;
    };
  }, [ask, channels, fromSeconds, toSeconds]);
  const others = useBeside(beside, channels.length, view, COLUMNS);
  // A ruler lies where it is said to lie.
  const point = (at: number) =>
    setRulers(pointed(rulers, Number(at.toFixed(momentDecimals(durationSeconds)))));
  usePlotHand(plot, { view, put, zoom, onPoint: point });
  const keys: Record<string, () => void> = {
    '+': looks.nearer,
    '-': looks.farther,
    ArrowLeft: looks.earlier,
    ArrowRight: looks.later,
    '0': looks.all,
  };
  const onKey = (event: KeyboardEvent) => {
    const action = keys[event.key];
    if (!action) return;
    event.preventDefault();
    action();
  };
  const signal = Math.max(
    0,
    channels.findIndex(({ use }) => use === 'signal'),
  );
  const heightPx = STRIP_HEIGHTS_PX[Math.min(channels.length, STRIP_HEIGHTS_PX.length) - 1] ?? 145;
  return (
    <>
      {sheet && (
        <BesideChoice
          recording={recording}
          recordings={sheet.recordings}
          beside={beside}
          onChange={setBeside}
        />
      )}
      <SweepOverview {...{ ask, durationSeconds, view, put }} channel={signal} />
      {/* A group that the arrow keys move: reached by tab like a button. */}
      <Box
        ref={plot}
        role="group"
        aria-label={t('ui-sweeps.plot-plus-minus-zoom-arrows')}
        tabIndex={0}
        onKeyDown={onKey}
        sx={{
          touchAction: 'pan-y',
          '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
          '& canvas': { cursor: 'crosshair' },
        }}
      >
        {envelopes?.map((envelope, i) => {
          const other = others?.[i];
          const isLess = beside.isDifference && other;
          return (
            <Box key={i} sx={{ borderTop: i > 0 ? 1 : 0, borderColor: 'divider' }}>
              <Typography variant="body2" sx={{ fontWeight: 650 }}>
                {isLess
                  ? t('ui-sweeps.less-the-other', { name: channels[i]?.name ?? '' })
                  : channels[i]?.name}
              </Typography>
              <SweepStrip
                name={channels[i]?.name ?? ''}
                unit={channels[i]?.unit ?? ''}
                envelope={isLess ? differenceOf(envelope, other) : envelope}
                other={isLess ? undefined : other}
                isDifference={!!isLess}
                telegrams={i === signal && !isLess ? telegrams : undefined}
                {...shown}
                findings={findings.filter(({ channel }) => channel === i)}
                marked={marked?.channel === i ? marked : undefined}
                marks={marks}
                rulers={rulers}
                heightPx={heightPx}
                last={i === channels.length - 1}
              />
            </Box>
          );
        })}
      </Box>
      <RulerPanel {...{ ask, channels, durationSeconds, rulers }} onLay={setRulers} />
      {rulers.length > 0 && <MarkField atSeconds={rulers[0]!} {...{ marks, revise }} />}
    </>
  );
}
