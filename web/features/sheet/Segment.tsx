import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import { useTheme } from '@mui/material/styles';
import { LANE_WORDS, PLACE_WORDS, type Lane } from '@lettura/core/evidence';
import type { SegmentState, SegmentView } from '@lettura/core/reasoning';
import { useState, type ReactNode } from 'react';
import { upperFirst } from '../../ui/inWords.ts';
import { LaneLine } from './LaneLine.tsx';

const WORD: Record<SegmentState, string> = {
  proven: '✓ proven',
  suspect: '? suspect',
  faulty: '✕ fault here',
  unknown: '',
};

export interface SegmentProps {
  lane: Lane;
  view: SegmentView;
  heightPx: number;
  /** What is known of it, on demand; paper has no demand. */
  detail?: ((close: () => void) => ReactNode) | undefined;
}

export const stretchInWords = (lane: Lane, { from, to }: Pick<SegmentView, 'from' | 'to'>): string =>
  `${upperFirst(LANE_WORDS[lane])} between ${PLACE_WORDS[from]} and ${PLACE_WORDS[to]}`;

/** A stretch of wire. Lanes are told apart by line style; what is known of the stretch stands on it in words. */
export function Segment({ lane, view, heightPx, detail }: SegmentProps) {
  const { palette } = useTheme();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const colour = view.state === 'unknown' ? palette.text.primary : palette.standing[view.state];
  const name = stretchInWords(lane, view);
  const drawn = (
    <>
      <LaneLine lane={lane} colour={colour} heightPx={heightPx} broken={view.state === 'faulty'} />
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
        {WORD[view.state]}
      </Box>
    </>
  );
  if (!detail) return <Box sx={{ position: 'relative', height: heightPx }}>{drawn}</Box>;
  return (
    <>
      <ButtonBase
        aria-label={`${name}: ${view.state === 'unknown' ? 'not known' : view.state}. What is known of it`}
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ position: 'relative', display: 'block', width: '100%', height: heightPx, borderRadius: 1 }}
      >
        {drawn}
      </ButtonBase>
      <Popover
        open={anchor !== undefined}
        anchorEl={anchor ?? null}
        onClose={() => setAnchor(undefined)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        transformOrigin={{ vertical: 'top', horizontal: 'center' }}
        slotProps={{
          paper: {
            role: 'dialog',
            'aria-label': name,
            sx: { p: 1.5, maxWidth: 420, border: 1, borderColor: 'sheet.rule' },
          },
        }}
      >
        {anchor && detail(() => setAnchor(undefined))}
      </Popover>
    </>
  );
}
