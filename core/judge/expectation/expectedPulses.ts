import { fixed, say, type Message } from '../../measure/message/index.ts';
import { fullPulses, sendsPulses, signalFromValue } from '../../measure/transfer/index.ts';
import type { MachineState, PulsesKind } from '../../machine/places/index.ts';
import type { Expectation, ExpectationContext } from './expectation.ts';
import { expectedReading } from './expectedReading.ts';

/** Between what, in hertz or in percent. */
export interface ExpectedPulses {
  kind: PulsesKind;
  lowest: number;
  highest: number;
  reason: Expectation['reason'];
}

/** The band as a meter that counts shows it. */
export const expectedPulsesSaid = ({ kind, lowest, highest }: ExpectedPulses): Message => {
  const decimals = kind === 'duty' || highest < 1000 ? 1 : 0;
  // The unit once: on a phone there is no room for it twice.
  return say('expectation.counted', {
    lowest: fixed(lowest, decimals),
    highest: fixed(highest, decimals, kind === 'duty' ? '%' : 'Hz'),
  });
};

/** What a meter counts on the signal of a sound sensor that sends pulses; undefined where nothing can be said of its quantity. */
export function expectedPulses(state: MachineState, context: ExpectationContext): ExpectedPulses | undefined {
  const { profile } = context;
  if (!sendsPulses(profile)) return undefined;
  const expected = expectedReading({ kind: 'scan' }, state, context);
  if (!expected) return undefined;
  const { nominalReferenceVolts: nominal, transfer } = profile;
  const countedAt = (value: number) =>
    (signalFromValue(value, nominal, profile).signalVolts / nominal) * fullPulses(transfer);
  // A rule of thumb has wider limits, and only past those is anything wrong.
  const [from, to] = expected.atMost ?? [expected.lowest, expected.highest];
  const ends = [countedAt(from), countedAt(to)];
  return {
    kind: transfer.form,
    lowest: Math.min(...ends),
    highest: Math.max(...ends),
    reason: expected.reason,
  };
}
