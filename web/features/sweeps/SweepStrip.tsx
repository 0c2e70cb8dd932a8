import { useTheme } from '@mui/material/styles';
import type { Envelope, SweepFinding, SweepMark } from '@lettura/core/sweep';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { niceTicks, roomyDomain } from './niceTicks.ts';

export interface SweepStripProps {
  name: string;
  unit: string;
  envelope: Envelope;
  /** Of another recording over the same stretch, drawn behind. */
  other?: Envelope | undefined;
  fromSeconds: number;
  toSeconds: number;
  findings: readonly SweepFinding[];
  marked: SweepFinding | undefined;
  marks: readonly SweepMark[];
  heightPx: number;
  /** The lowest strip carries the scale of time. */
  last: boolean;
}

const TIME_TICKS = 8;
const VALUE_TICKS = 5;
/** Fewer than this in view and a line of one sample is drawn as wide as one can see. */
const HAIR_SHARE = 0.004;

/** One channel over time: between the lowest and the highest of every column, so that nothing is left out at any zoom. */
export function SweepStrip({
  name,
  unit,
  envelope,
  other,
  fromSeconds,
  toSeconds,
  findings,
  marked,
  marks,
  heightPx,
  last,
}: SweepStripProps) {
  const { palette } = useTheme();
  const columns = envelope.lowest.length;
  const span = toSeconds - fromSeconds;
  const rows = Array.from({ length: columns }, (_, i) => {
    const [low, high] = [envelope.lowest[i]!, envelope.highest[i]!];
    return {
      seconds: fromSeconds + (span * (i + 0.5)) / columns,
      between: Number.isNaN(low) ? null : [low, high],
      beside: pairOf(other?.lowest[i], other?.highest[i]),
    };
  });
  const inView = findings.filter(
    ({ fromSeconds: from, untilSeconds, weight }) =>
      weight === 'fault' && untilSeconds >= fromSeconds && from <= toSeconds,
  );
  const real = (all: Float64Array) => all.filter((value) => !Number.isNaN(value));
  const domain = roomyDomain(
    [...real(envelope.lowest), ...real(other?.lowest ?? new Float64Array(0))].reduce(
      (a, b) => Math.min(a, b),
      Infinity,
    ),
    [...real(envelope.highest), ...real(other?.highest ?? new Float64Array(0))].reduce(
      (a, b) => Math.max(a, b),
      -Infinity,
    ),
    unit,
  );
  const ink = palette.text.primary;
  return (
    <div
      role="img"
      aria-label={`${name} over time${unit ? `, in ${unit}` : ''}; ${inView.length} faults in view`}
    >
      <ResponsiveContainer width="100%" height={heightPx}>
        <ComposedChart
          data={rows}
          margin={{ top: 6, right: 10, bottom: last ? 16 : 0, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke={palette.divider} strokeOpacity={0.5} />
          <XAxis
            dataKey="seconds"
            type="number"
            domain={[fromSeconds, toSeconds]}
            allowDataOverflow
            stroke={ink}
            hide={!last}
            ticks={niceTicks(fromSeconds, toSeconds, TIME_TICKS)}
            {...(last
              ? { label: { value: 'seconds', position: 'insideBottom', offset: -8, fill: ink } }
              : {})}
          />
          <YAxis
            width={64}
            stroke={ink}
            domain={domain}
            ticks={niceTicks(...domain, VALUE_TICKS)}
            interval={0}
            label={{ value: unit, angle: -90, position: 'insideLeft', fill: ink, offset: 14 }}
          />
          {inView.map((finding) => {
            const half = Math.max(0, HAIR_SHARE * span - (finding.untilSeconds - finding.fromSeconds)) / 2;
            return (
              <ReferenceArea
                key={`${finding.kind} ${finding.fromSeconds}`}
                x1={Math.max(fromSeconds, finding.fromSeconds - half)}
                x2={Math.min(toSeconds, finding.untilSeconds + half)}
                fill={palette.standing.faulty}
                fillOpacity={finding === marked ? 0.4 : 0.18}
                ifOverflow="hidden"
              />
            );
          })}
          {marked && (
            <ReferenceLine x={marked.fromSeconds} stroke={palette.standing.faulty} strokeDasharray="4 3" />
          )}
          {marks.map(({ atSeconds }, i) =>
            atSeconds < fromSeconds || atSeconds > toSeconds ? null : (
              <ReferenceLine
                key={`${atSeconds} ${i}`}
                x={atSeconds}
                stroke={palette.primary.main}
                strokeDasharray="5 4"
                label={{ value: i + 1, position: 'insideTopLeft', fill: palette.primary.main }}
              />
            ),
          )}
          {other && (
            <Area
              dataKey="beside"
              type="linear"
              stroke={palette.primary.main}
              strokeWidth={3}
              strokeOpacity={0.55}
              fill={palette.primary.main}
              fillOpacity={0.4}
              isAnimationActive={false}
              connectNulls={false}
              activeDot={false}
            />
          )}
          <Area
            dataKey="between"
            type="linear"
            stroke={ink}
            strokeWidth={1.4}
            fill={ink}
            fillOpacity={0.85}
            isAnimationActive={false}
            connectNulls={false}
            activeDot={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

const pairOf = (low: number | undefined, high: number | undefined): [number, number] | null =>
  low === undefined || high === undefined || Number.isNaN(low) ? null : [low, high];
