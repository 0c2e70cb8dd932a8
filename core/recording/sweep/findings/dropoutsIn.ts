import { dropouts, type Dropout } from '../dropouts.ts';
import type { Recording } from '../recording.ts';

const known = new WeakMap<Float64Array, readonly Dropout[]>();

/** The dropouts of a channel, looked for once: several findings ask for them, and a recording does not change. */
export function dropoutsIn(recording: Recording, values: Float64Array): readonly Dropout[] {
  const before = known.get(values);
  if (before) return before;
  const found = dropouts(recording, values);
  known.set(values, found);
  return found;
}
