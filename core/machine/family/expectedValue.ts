import { say } from '../../measure/message/index.ts';
import { fail, type Result } from '../../measure/problem/index.ts';
import { isPressure } from '../../measure/quantity/index.ts';
import { toleranceAt } from '../../measure/transfer/index.ts';
import type { MachineState } from '../places/index.ts';
import { atAmbient } from './expectations.ts';
import { FAMILIES } from './families.ts';
import type { ExpectationFault, ValueBand, ValueContext } from './valueBand.ts';

/** What a sound sensor should report in a state, before anything is probed. The tolerance is not in it yet. */
export function expectedValue(
  state: MachineState,
  context: ValueContext,
): Result<ValueBand, ExpectationFault> {
  return state.stimulus?.kind === 'pump'
    ? pumped(state.stimulus.kpaAboveAmbient, context)
    : FAMILIES[context.family].expects(state, context);
}

const pumped = (kpaAboveAmbient: number, context: ValueContext): Result<ValueBand, ExpectationFault> =>
  isPressure(context.profile.measures)
    ? atAmbient(context, kpaAboveAmbient, kpaAboveAmbient, say('families.hand-pump-sets-pressure'))
    : fail('makers-data', say('families.pump-does-nothing-sensor'), say('families.choose-another-state'));

/** The band of a sound sensor: with its tolerance and the doubt of ambient around it. */
export function withTolerance(
  { lowest, highest, reason, atMost }: ValueBand,
  { profile, ambient }: ValueContext,
): ValueBand {
  const ambientDoubt = profile.measures === 'absolute-pressure' ? (ambient?.expandedUncertaintyKpa ?? 0) : 0;
  const around = (value: number): number => Math.hypot(toleranceAt(value, profile), ambientDoubt);
  const wider = (from: number, to: number) => [from - around(from), to + around(to)] as const;
  const [least, most] = wider(lowest, highest);
  return { lowest: least, highest: most, reason, ...(atMost && { atMost: wider(...atMost) }) };
}
