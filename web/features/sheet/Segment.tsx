import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { Lane } from '@lettura/core/evidence';
import type { SegmentState, SegmentView } from '@lettura/core/reasoning';

const WORD: Record<SegmentState, string> = {
  proven: '✓ proven',
  suspect: '? suspect',
  faulty: '✕ fault here',
  unknown: '',
};

/** A stretch of wire. Lanes are told apart by line style; what is known of the stretch stands on it in words. */
export function Segment({ lane, view }: { lane: Lane; view: SegmentView }) {
  const { palette } = useTheme();
  const colour = view.state === 'unknown' ? palette.text.primary : palette.standing[view.state];
  return (
    <Box sx={{ position: 'relative', height: 54 }}>
      <svg width="100%" height="54" aria-hidden="true" style={{ display: 'block' }}>
        {lane === 'reference' && (
          <>
            <line x1="0" x2="100%" y1="25" y2="25" stroke={colour} strokeWidth="1.8" />
            <line x1="0" x2="100%" y1="30" y2="30" stroke={colour} strokeWidth="1.8" />
          </>
        )}
        {lane === 'signal' && <line x1="0" x2="100%" y1="27.5" y2="27.5" stroke={colour} strokeWidth="4" />}
        {lane === 'second-signal' && (
          <line x1="0" x2="100%" y1="27.5" y2="27.5" stroke={colour} strokeWidth="4" strokeDasharray="18 4" />
        )}
        {lane === 'battery-feed' && (
          <line x1="0" x2="100%" y1="27.5" y2="27.5" stroke={colour} strokeWidth="7" strokeOpacity="0.55" />
        )}
        {lane === 'return' && (
          <line x1="0" x2="100%" y1="27.5" y2="27.5" stroke={colour} strokeWidth="3" strokeDasharray="8 5" />
        )}
        {view.state === 'faulty' && (
          <g transform="translate(0, 27.5)">
            <svg x="50%" overflow="visible">
              <rect x="-9" y="-9" width="18" height="18" fill={palette.background.paper} />
              <path d="M-7 -7L7 7M-7 7L7 -7" stroke={colour} strokeWidth="3" />
            </svg>
          </g>
        )}
      </svg>
      <Box
        component="span"
        sx={{
          position: 'absolute',
          inset: 'auto 0 2px 0',
          textAlign: 'center',
          fontSize: '0.78rem',
          fontWeight: 650,
          color: colour,
          whiteSpace: 'nowrap',
        }}
      >
        {WORD[view.state]}
      </Box>
    </Box>
  );
}
