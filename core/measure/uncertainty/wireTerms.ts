import { list, plain, say, type Message } from '../message/index.ts';
import { fromLimits, type UncertaintyTerm } from './budget.ts';
import {
  countsLimitVolts,
  gainLimitVolts,
  instrumentSaid,
  meterLimitVolts,
  type Instrument,
  type MeterAccuracy,
} from './instrumentTerms.ts';

/** A wire as a calculation takes it: read by a meter, or taken for granted within limits because nobody read it. */
export type WireInput =
  { volts: number; meter: Instrument<MeterAccuracy> } | { volts: number; assumedWithinVolts: number };

/** One wire in a result: what it is called in the budget, and what a volt on it does to the result. */
export interface WireInfluence {
  name: Message;
  input: WireInput;
  resultPerVolt: number;
}

/** How far off a wire may be, in volts, whatever the reason. */
export const inputLimitVolts = (input: WireInput): number =>
  'meter' in input ? meterLimitVolts(input.volts, input.meter.accuracy) : input.assumedWithinVolts;

/**
 * Doubt that wires bring into a result. The gain of one meter is off by one and the same share in all its readings (JCGM
 * 100:2008, 5.2.2), so that it is added up over them before it is squared; their last digits are independent. Readings
 * of unnamed meters are not known to be of one.
 */
export function wireTerms(influences: readonly WireInfluence[]): UncertaintyTerm[] {
  const groups: WireInfluence[][] = [];
  for (const influence of influences) {
    const group = groups.find(([one]) => one && sameMeter(one.input, influence.input));
    if (group) group.push(influence);
    else groups.push([influence]);
  }
  return groups.flatMap((group) => (group.length > 1 ? ofOneMeter(group) : group.map(byItself)));
}

const byItself = ({ name, input, resultPerVolt }: WireInfluence): UncertaintyTerm => ({
  source:
    'meter' in input
      ? say('doubt.meter-on', { instrument: instrumentSaid(input.meter), wire: name })
      : say('doubt.not-read-taken', { wire: name, volts: plain(Number(input.volts.toFixed(2)), 'V') }),
  standardUncertainty: fromLimits(inputLimitVolts(input)) * Math.abs(resultPerVolt),
});

function ofOneMeter(group: readonly WireInfluence[]): UncertaintyTerm[] {
  let gain = 0;
  const counts: UncertaintyTerm[] = [];
  let instrument: ReturnType<typeof instrumentSaid> | undefined;
  for (const { name, input, resultPerVolt } of group) {
    if (!('meter' in input)) continue;
    const { accuracy } = input.meter;
    instrument = instrumentSaid(input.meter);
    gain += resultPerVolt * Math.sign(input.volts) * gainLimitVolts(input.volts, accuracy);
    counts.push({
      source: say('doubt.last-digits', { instrument, wire: name }),
      standardUncertainty: fromLimits(countsLimitVolts(input.volts, accuracy)) * Math.abs(resultPerVolt),
    });
  }
  if (!instrument) return counts;
  const wires = list(
    group.map(({ name }) => name),
    'and',
  );
  return [
    ...counts,
    {
      source: say('doubt.gain-same', { instrument, wires }),
      standardUncertainty: fromLimits(Math.abs(gain)),
    },
  ];
}

function sameMeter(a: WireInput, b: WireInput): boolean {
  if (!('meter' in a) || !('meter' in b) || a.meter.assumed || b.meter.assumed) return false;
  const [one, other] = [a.meter.accuracy, b.meter.accuracy];
  return (
    a.meter.name === b.meter.name &&
    one.percentOfReading === other.percentOfReading &&
    one.counts === other.counts &&
    one.displayCounts === other.displayCounts
  );
}
