import { useTheme } from '@mui/material/styles';
import type { Lane } from '@lettura/core/machine/places';

interface Stroke {
  width: number;
  dash?: string;
  opacity?: number;
  /** Drawn as two lines this far apart. */
  doubled?: number;
}

/** Lanes are told apart by line style: the wires of a second feed are drawn as those of the first, but broken. */
const STROKES: Record<Lane, Stroke> = {
  reference: { width: 1.8, doubled: 5 },
  'second-reference': { width: 1.8, doubled: 5, dash: '18 4' },
  signal: { width: 4 },
  'second-signal': { width: 4, dash: '18 4' },
  return: { width: 3, dash: '8 5' },
  'second-return': { width: 3, dash: '8 5 2 5' },
  'battery-feed': { width: 7, opacity: 0.55 },
  'motor-plus': { width: 2, dash: '2 4' },
  'motor-minus': { width: 2, dash: '2 7' },
};

export interface LaneLineProps {
  lane: Lane;
  colour: string;
  heightPx: number;
  broken: boolean;
}

export function LaneLine({ lane, colour, heightPx, broken }: LaneLineProps) {
  const { palette } = useTheme();
  const { width, dash, opacity = 1, doubled = 0 } = STROKES[lane];
  const middle = heightPx / 2;
  return (
    <svg width="100%" height={heightPx} aria-hidden="true" style={{ display: 'block' }}>
      {(doubled ? [-doubled / 2, doubled / 2] : [0]).map((off) => (
        <line
          key={off}
          x1="0"
          x2="100%"
          y1={middle + off}
          y2={middle + off}
          stroke={colour}
          strokeWidth={width}
          strokeDasharray={dash}
          strokeOpacity={opacity}
        />
      ))}
      {broken && (
        <g transform={`translate(0, ${middle})`}>
          <svg x="50%" overflow="visible">
            <rect x="-9" y="-9" width="18" height="18" fill={palette.background.paper} />
            <path d="M-7 -7L7 7M-7 7L7 -7" stroke={colour} strokeWidth="3" />
          </svg>
        </g>
      )}
    </svg>
  );
}
