import { dropoutsIn } from './dropoutsIn.ts';
import { formatWithBasis } from '../../../measure/quantity/index.ts';
import { sampleRate, type Recording } from '../recording.ts';
import { strokesOf } from '../strokes.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, lasting, positionAt } from './words.ts';

/** How far it was moved: a sweep that never saw the whole travel proves only the part that it saw. */
export function travelSeen(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'signal');
  const values = recording.channels[channel]?.values;
  if (!values) return [];
  // A dropout is no travel.
  const travel = values.slice();
  for (const { from, to } of dropoutsIn(recording, values)) travel.fill(NaN, from, to);
  const strokes = strokesOf(travel);
  const { profile, pressureUnit } = context;
  const ends = strokes.flatMap(({ from, to }) => [values[from]!, values[to]!]);
  const positions = ends
    .map((volts) => positionAt(context, 'signal', volts))
    .filter((value) => value !== undefined);
  const whole = { fromSeconds: recording.seconds[0] ?? 0, untilSeconds: recording.seconds.at(-1) ?? 0 };
  if (positions.length === 0)
    return [
      {
        kind: 'still',
        weight: 'note',
        sentence: 'Nothing was moved in this recording: it proves no travel.',
        channel,
        ...whole,
      },
    ];
  const [low, high] = [Math.min(...positions), Math.max(...positions)].map((value) =>
    formatWithBasis(
      Math.min(profile.highest, Math.max(profile.lowest, value)),
      profile.measures,
      pressureUnit,
    ),
  );
  const rate = sampleRate(recording);
  return [
    {
      kind: 'travel',
      weight: 'note',
      sentence: `Moved ${strokes.length} ${strokes.length === 1 ? 'time' : 'times'}, from ${low} to ${high}, at ${rate < 10 ? rate.toFixed(1) : Math.round(rate)} samples a second. What is shorter than ${lasting(1 / rate)}, or outside this travel, was not seen.`,
      channel,
      ...whole,
    },
  ];
}
