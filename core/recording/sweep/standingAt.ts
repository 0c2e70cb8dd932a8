import { indexAt } from './recording.ts';
import { type Plateau, plateaus } from './plateaus.ts';

const AROUND_SECONDS = 0.5;

/** What a signal stood at, at a moment: over the plateau around it, else over half a second on either side. */
export function standingAt(
  seconds: Float64Array,
  values: Float64Array,
  moment: number,
): Pick<Plateau, 'fromSeconds' | 'untilSeconds' | 'mean'> {
  const around = plateaus(seconds, values).find(
    ({ fromSeconds, untilSeconds }) => fromSeconds <= moment && moment <= untilSeconds,
  );
  if (around) return around;
  const [fromSeconds, untilSeconds] = [moment - AROUND_SECONDS, moment + AROUND_SECONDS];
  let [sum, count] = [0, 0];
  for (let i = indexAt(seconds, fromSeconds); i < seconds.length && seconds[i]! <= untilSeconds; i++) {
    if (Number.isNaN(values[i]!)) continue;
    sum += values[i]!;
    count++;
  }
  return { fromSeconds: Math.max(0, fromSeconds), untilSeconds, mean: sum / count };
}
