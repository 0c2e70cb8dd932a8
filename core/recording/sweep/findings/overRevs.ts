import { fixed, list, measured, say } from '../../../measure/message/index.ts';
import { valueAtNominal } from '../../../measure/transfer/index.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { channelFor, wholeOf } from './words.ts';

/** Less than this and the engine was not revved. */
const LEAST_REVS_RPM = 500;
/** Samples nearest to its lowest and its highest revs, as a share of the revs moved. */
const END_SHARE = 0.15;
/** Smaller than this is no answer, in volts. */
const LEAST_ANSWER_VOLTS = 0.1;

/** What the signal does while the engine is revved: what it is at the lowest revs and at the highest. */
export function overRevs(recording: Recording, context: SweepContext): SweepFinding[] {
  const signal = channelFor(recording, context, 'signal');
  const revs = channelFor(recording, context, 'revs');
  if (!signal || !revs) return [];
  let [lowest, highest] = [Infinity, -Infinity];
  for (const rpm of revs.values) {
    if (rpm < lowest) lowest = rpm;
    if (rpm > highest) highest = rpm;
  }
  if (!(highest - lowest >= LEAST_REVS_RPM)) return [];
  const end = END_SHARE * (highest - lowest);
  const low = meansWhere(signal.values, revs.values, (rpm) => rpm <= lowest + end);
  const high = meansWhere(signal.values, revs.values, (rpm) => rpm >= highest - end);
  if (Number.isNaN(low.volts) || Number.isNaN(high.volts)) return [];
  const answers = Math.abs(high.volts - low.volts) >= LEAST_ANSWER_VOLTS;
  const { measures } = context.profile;
  const mustRise = measures === 'differential-pressure' || measures === 'air-flow';
  const at = ({ volts, rpm }: typeof low) =>
    say('sweep.at-revs', {
      volts: fixed(volts, 2, 'V'),
      value: measured(valueAtNominal(volts, context.profile), measures, 'with-basis'),
      rpm: Math.round(rpm / 10) * 10,
    });
  const ends = list([at(low), at(high)]);
  return [
    {
      kind: 'revs',
      weight: !answers && mustRise ? 'fault' : 'note',
      sentence: answers
        ? say('sweep.signal-revs', { rises: high.volts > low.volts, ends })
        : say('sweep.signal-does-not-answer-revs', { ends }),
      channel: signal.channel,
      ...wholeOf(recording),
    },
  ];
}

function meansWhere(
  values: Float64Array,
  revs: Float64Array,
  wanted: (rpm: number) => boolean,
): { volts: number; rpm: number } {
  let [sum, sumRpm, count] = [0, 0, 0];
  for (let i = 0; i < values.length; i++) {
    if (Number.isNaN(values[i]!) || !wanted(revs[i]!)) continue;
    sum += values[i]!;
    sumRpm += revs[i]!;
    count++;
  }
  return { volts: sum / count, rpm: sumRpm / count };
}
