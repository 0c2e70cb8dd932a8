import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useTheme } from '@mui/material/styles';
import { laneSaid, placeSaid, type Lane } from '@lettura/core/machine/places';
import type { SegmentState, SegmentView } from '@lettura/core/judge/checks';
import { memo } from 'react';
import { upperFirst } from '../../ui/inWords.ts';
import { LaneLine } from './LaneLine.tsx';
import { said, t } from '../../ui/words.ts';

const WORD: Record<SegmentState, string> = {
  proven: t('ui-sheet.segment-proven'),
  suspect: t('ui-sheet.segment-suspect'),
  faulty: t('ui-sheet.fault-here'),
  unknown: '',
};

const MARK: Record<SegmentState, string> = { proven: '✓', suspect: '?', faulty: '✕', unknown: '' };

export interface LaneStretch extends Pick<SegmentView, 'from' | 'to'> {
  lane: Lane;
}

export interface SegmentProps extends LaneStretch {
  state: SegmentState;
  heightPx: number;
  /** With room for a mark only. */
  compact?: boolean;
  /** What is known of it was asked for; paper cannot be asked. */
  onAsk?: ((stretch: LaneStretch, anchor: HTMLElement) => void) | undefined;
}

export const stretchInWords = ({ lane, from, to }: LaneStretch): string =>
  t('ui-sheet.between-and', {
    lane: upperFirst(said(laneSaid(lane))),
    place: said(placeSaid(from)),
    place2: said(placeSaid(to)),
  });

/** A stretch of wire. Lanes are told apart by line style; what is known of the stretch stands on it in words. */
export const Segment = memo(function Segment(props: SegmentProps) {
  const { lane, from, to, state, heightPx, compact = false, onAsk } = props;
  const { palette } = useTheme();
  const colour = state === 'unknown' ? palette.text.primary : palette.standing[state];
  const drawn = (
    <>
      <LaneLine lane={lane} colour={colour} heightPx={heightPx} broken={state === 'faulty'} />
      <Box
        component="span"
        sx={{
          position: 'absolute',
          inset: 'auto 0 1px 0',
          textAlign: 'center',
          fontSize: '0.78rem',
          fontWeight: 650,
          color: colour,
          whiteSpace: 'nowrap',
        }}
      >
        {compact ? MARK[state] : WORD[state]}
      </Box>
    </>
  );
  if (!onAsk) return <Box sx={{ position: 'relative', height: heightPx }}>{drawn}</Box>;
  return (
    <ButtonBase
      aria-label={t('ui-sheet.what-is-known-of-it', {
        stretch: stretchInWords({ lane, from, to }),
        state: t(`ui-sheet.stretch-${state}`),
      })}
      aria-haspopup="dialog"
      onClick={(event) => onAsk({ lane, from, to }, event.currentTarget)}
      sx={{ position: 'relative', display: 'block', width: '100%', height: heightPx, borderRadius: 1 }}
    >
      {drawn}
    </ButtonBase>
  );
});
