import type { MachineState } from '@lettura/core/machine/places';
import { seededRandom } from './random.ts';

/** One pump in five does not hold what it was set to. */
const LEAKY_SHARE = 0.2;
const LEAK_SECONDS = 90;

/** After this long a leaking pump has lost all but a third; Infinity where it holds. */
export const pumpHoldsSeconds = (seed: number): number =>
  seededRandom(seed ^ 0x2b1d)() < LEAKY_SHARE ? LEAK_SECONDS : Infinity;

/** What a hand pump still holds some time after it was set. */
export function afterHolding(state: MachineState, heldSeconds: number, seed: number): MachineState {
  const { stimulus } = state;
  if (stimulus?.kind !== 'pump') return state;
  const kpaAboveAmbient = stimulus.kpaAboveAmbient * Math.exp(-heldSeconds / pumpHoldsSeconds(seed));
  return { ...state, stimulus: { ...stimulus, kpaAboveAmbient } };
}
