import { fixed, measured, say } from '../../../measure/message/index.ts';
import { withoutStretches } from '../blocks.ts';
import { dropoutsIn } from './dropoutsIn.ts';
import { sampleRate, type Recording } from '../recording.ts';
import { strokesOf } from '../strokes.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, lasting, positionAt } from './words.ts';

/** How far it was moved: a sweep that never saw the whole travel proves only the part that it saw. */
export function travelSeen(recording: Recording, context: SweepContext): SweepFinding[] {
  const channel = indexOf(context, 'signal');
  const values = recording.channels[channel]?.values;
  if (!values) return [];
  const strokes = strokesOf(travelOf(recording, values));
  const { profile } = context;
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
        sentence: say('sweep.nothing-moved-recording-proves-no'),
        channel,
        ...whole,
      },
    ];
  const shown = (value: number) =>
    measured(Math.min(profile.highest, Math.max(profile.lowest, value)), profile.measures, 'with-basis');
  const rate = sampleRate(recording);
  return [
    {
      kind: 'travel',
      weight: 'note',
      sentence: say('sweep.travel', {
        strokes: strokes.length,
        low: shown(Math.min(...positions)),
        high: shown(Math.max(...positions)),
        rate: fixed(rate, rate < 10 ? 1 : 0),
        lasting: lasting(1 / rate),
      }),
      channel,
      ...whole,
    },
  ];
}

/** A dropout is no travel. */
function travelOf(recording: Recording, values: Float64Array): Float64Array {
  const lost = dropoutsIn(recording, values);
  return lost.length === 0 ? values : withoutStretches(values, lost);
}
