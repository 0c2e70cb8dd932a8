import { fixed, type Quantity } from '@lettura/core/measure/message';
import { hertzSaid } from '@lettura/core/record/evidence';
import { expectedPulses, type ExpectationContext } from '@lettura/core/judge/expectation';
import type { MachineState, Target } from '@lettura/core/machine/places';

/** What a meter that counts should show at the point in hand, where its sensor sends pulses. */
export function countedBand(
  target: Target,
  state: MachineState,
  context: ExpectationContext,
): { low: Quantity; high: Quantity } | undefined {
  if (target.kind !== 'wire' || target.lane !== 'signal' || state.plug !== 'connected') return undefined;
  const expected = expectedPulses(state, context);
  if (!expected) return undefined;
  const shown = (value: number) => (expected.kind === 'duty' ? fixed(value, 1, '%') : hertzSaid(value));
  return { low: shown(expected.lowest), high: shown(expected.highest) };
}
