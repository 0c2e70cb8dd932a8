import { useTheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import type { TermId } from './terms.ts';

const WIRES = { reference: 20, signal: 40, return: 60 } as const;
type Wire = keyof typeof WIRES;
const UNIT_X = 46;
const SENSOR_X = 174;
/** A flat meter, a zigzag, a needle: each drawn where it is. */
const zigzag = (x: number, y: number): string => `M${x} ${y} l4 -5 l6 10 l6 -10 l6 10 l6 -10 l4 5`;

/** A small drawing of a word: unit at the left, sensor at the right, what is meant in the strong colour. */
export function TermDrawing({ term }: { term: TermId }) {
  const { palette } = useTheme();
  const ink = palette.text.primary;
  const soft = palette.sheet.rule;
  const strong = palette.primary.main;
  const stroke = (isStrong: boolean) => ({ stroke: isStrong ? strong : soft, strokeWidth: isStrong ? 4 : 2 });
  const circuit = (strongWires: readonly Wire[], gapAt?: number) => (
    <>
      <rect x={6} y={8} width={40} height={64} fill="none" stroke={ink} strokeWidth={2} />
      <rect x={174} y={8} width={40} height={64} fill="none" stroke={ink} strokeWidth={2} />
      {(Object.keys(WIRES) as Wire[]).map((wire) => {
        const y = WIRES[wire];
        const end = gapAt ?? SENSOR_X;
        return (
          <g key={wire} {...stroke(strongWires.includes(wire))}>
            <path d={`M${UNIT_X} ${y} H${end}`} />
            {gapAt !== undefined && (
              <path d={`M${gapAt + 22} ${y} H${SENSOR_X}`} stroke={soft} strokeWidth={2} />
            )}
          </g>
        );
      })}
    </>
  );
  const meter = (x: number, y: number) => (
    <g stroke={strong} strokeWidth={2} fill={palette.background.paper}>
      <circle cx={x} cy={y} r={9} />
      <path d={`M${x - 4} ${y + 3} l8 -7`} />
    </g>
  );
  const drawings: Record<TermId, ReactNode> = {
    reference: circuit(['reference']),
    signal: circuit(['signal']),
    return: circuit(['return']),
    'shared-rail': (
      <>
        {circuit(['reference'])}
        <path d="M90 20 V4 H150" {...stroke(true)} fill="none" />
        <rect x={150} y={0} width={16} height={8} fill="none" stroke={ink} strokeWidth={2} />
      </>
    ),
    'back-probe': (
      <>
        {circuit([])}
        <path d="M140 76 L158 42" {...stroke(true)} />
        <circle cx={158} cy={41} r={4} fill={strong} />
      </>
    ),
    'plug-off': circuit([], 140),
    pull: (
      <>
        {circuit(['signal'], 140)}
        <path d={zigzag(54, 28)} fill="none" {...stroke(true)} strokeWidth={2.5} />
        <path d="M54 28 V40 M86 28 V20" fill="none" {...stroke(true)} strokeWidth={2.5} />
      </>
    ),
    drop: (
      <>
        {circuit(['return'])}
        <path d="M60 60 V76 H101 M119 76 H160 V60" fill="none" stroke={strong} strokeWidth={2} />
        {meter(110, 74)}
      </>
    ),
    ghost: (
      <>
        <path d="M10 30 H84" {...stroke(false)} />
        <path d="M112 30 H150" {...stroke(true)} strokeDasharray="4 4" />
        {meter(160, 30)}
        <path d="M160 39 V62 H146 M152 68 h16" stroke={ink} strokeWidth={2} fill="none" />
      </>
    ),
    wiggle: (
      <>
        {circuit([])}
        <path d="M80 40 q10 -18 20 0 t20 0 t20 0" fill="none" {...stroke(true)} />
      </>
    ),
    koeo: (
      <>
        <circle cx={60} cy={40} r={24} fill="none" stroke={ink} strokeWidth={2} />
        <path d="M60 40 L74 24" {...stroke(true)} />
        <path d="M120 56 h70 M130 56 v-18 h20 v-8 h24 v26" fill="none" stroke={soft} strokeWidth={2} />
        <path d="M118 70 L194 18" stroke={strong} strokeWidth={3} />
      </>
    ),
    'live-data': (
      <>
        {circuit([])}
        <rect x={12} y={26} width={28} height={26} fill={strong} />
        <path d="M26 72 V78 H100" fill="none" {...stroke(true)} strokeWidth={2.5} />
      </>
    ),
    'code-kept': (
      <>
        <rect x={16} y={24} width={48} height={32} fill="none" {...stroke(false)} strokeDasharray="5 5" />
        <rect x={86} y={24} width={48} height={32} fill="none" {...stroke(true)} />
        <rect x={156} y={24} width={48} height={32} fill="none" {...stroke(true)} />
        <path d="M170 24 v-6 a10 10 0 0 1 20 0 v6" fill="none" stroke={ink} strokeWidth={2} />
      </>
    ),
    readiness: (
      <>
        {[40, 90, 140, 190].map((x, i) => (
          <g key={x}>
            <circle cx={x} cy={40} r={14} fill="none" {...stroke(i < 3)} strokeWidth={2.5} />
            {i < 3 && <path d={`M${x - 6} 40 l4 5 l8 -10`} fill="none" {...stroke(true)} strokeWidth={2.5} />}
          </g>
        ))}
      </>
    ),
    'freeze-frame': (
      <>
        <path d="M10 60 q30 -6 50 -20 t50 4 t50 -14 t50 10" fill="none" {...stroke(false)} />
        <rect x={98} y={18} width={28} height={48} fill="none" {...stroke(true)} strokeWidth={2.5} />
        <circle cx={112} cy={44} r={4} fill={strong} />
      </>
    ),
    telegram: (
      <>
        <path d="M16 66 H204" stroke={soft} strokeWidth={2} />
        <path
          d="M16 24 H30 V58 H38 V24 H86 V58 H94 V24 H112 V58 H120 V24 H150 V58 H158 V24 H172 V58 H180 V24 H204"
          fill="none"
          {...stroke(true)}
          strokeWidth={2.5}
        />
      </>
    ),
    'pressure-basis': (
      <>
        <path d="M20 70 H200 M20 30 H200" stroke={soft} strokeWidth={2} />
        <rect x={44} y={44} width={22} height={26} fill={ink} />
        <path d="M120 30 V44" stroke={strong} strokeWidth={5} />
        <path d="M66 44 H130" stroke={soft} strokeDasharray="3 3" />
        <path d="M170 70 V44" stroke={ink} strokeWidth={5} />
      </>
    ),
    pair: (
      <>
        <path d="M20 66 L196 14" {...stroke(true)} />
        <path d="M20 14 L196 66" stroke={ink} strokeWidth={2.5} strokeDasharray="8 4" />
        <path d="M20 74 H200" stroke={soft} strokeWidth={2} />
      </>
    ),
    doubt: (
      <>
        <path d="M20 66 C70 66 80 12 110 12 S150 66 200 66" fill="none" stroke={ink} strokeWidth={2} />
        <path d="M66 66 V52 M154 66 V52 M66 70 H154" {...stroke(true)} />
      </>
    ),
    en: (
      <>
        <path d="M40 26 H130 M85 18 V34" stroke={ink} strokeWidth={3} />
        <path d="M90 56 H180 M135 48 V64" {...stroke(true)} strokeWidth={3} />
        <path d="M85 34 V60 M135 30 V48" stroke={soft} strokeDasharray="3 3" />
      </>
    ),
  };
  return (
    <svg viewBox="0 0 220 84" width={220} height={84} aria-hidden="true" focusable="false">
      {drawings[term]}
    </svg>
  );
}
