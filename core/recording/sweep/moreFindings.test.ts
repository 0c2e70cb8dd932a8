import { expect, test } from 'vitest';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import reference from './reference/recordings.json' with { type: 'json' };
import { analyseSweep, type Recording, type SweepContext, type SweepFinding } from './index.ts';
import { coded, type Coded } from '../../measure/message/coded.ts';

/** 0.5 V at 0 kPa, 4.5 V at 40 kPa: a filter's differential pressure. */
const FILTER: SensorProfile = {
  measures: 'differential-pressure',
  transfer: { form: 'linear', low: { volts: 0.5, value: 0 }, high: { volts: 4.5, value: 40 } },
  nominalReferenceVolts: 5,
  lowest: 0,
  highest: 40,
  circuitLowVolts: 0.2,
  circuitHighVolts: 4.8,
  tolerance: { form: 'plus-minus', plusMinus: 1 },
  differenceThatMatters: 2,
  bias: 'pull-up',
};
const RATE = 100;
const UNITS: Partial<Record<SweepContext['uses'][number], string>> = {
  stimulus: 'kPa',
  live: 'kPa',
  revs: 'rpm',
};
const found = (
  kind: SweepFinding['kind'],
  uses: SweepContext['uses'],
  channels: readonly Float64Array[],
  over: Partial<SweepContext> & { seconds?: Float64Array } = {},
): Coded<SweepFinding>[] => {
  const { seconds = Float64Array.from(channels[0]!, (_, i) => i / RATE), ...context } = over;
  const recording: Recording = {
    seconds,
    channels: channels.map((values, i) => ({ name: `CH${i + 1}`, unit: UNITS[uses[i]!] ?? 'V', values })),
  };
  return coded(analyseSweep(recording, { profile: FILTER, uses, ...context })).filter(
    (finding) => finding.kind === kind,
  );
};
const over = (seconds: number, valueAt: (second: number) => number) =>
  Float64Array.from({ length: seconds * RATE }, (_, i) => valueAt(i / RATE));

test('a marked step is held against what was expected there: over the rest around it, not at one sample', () => {
  // Three rests of four seconds each, the last at 20 kPa reads 0.3 V low.
  const pumped = over(12, (s) => [0.5, 1.5, 2.2][Math.floor(s / 4)]! + 0.003 * Math.sin(400 * s));
  const step = (atSeconds: number, kpa: number) => ({
    atSeconds,
    words: `${kpa} kPa`,
    expectedVolts: { lowest: 0.4 + kpa / 10, highest: 0.6 + kpa / 10 },
  });
  const marks = [step(3.9, 0), step(5, 10), step(9, 20), { atSeconds: 11, words: 'hose off' }];
  const [fault, right] = found('marked-step', ['signal'], [pumped], { marks });
  expect(fault).toMatchObject({
    weight: 'fault',
    sentence:
      'sweep.signal-stood-expected{words: “20 kPa”, mean: 2.20 V, band: sweep.band{lowest: 2.40, highest: 2.60 V}}',
    fromSeconds: 8,
  });
  expect(right?.sentence).toBe('sweep.marked-steps-where-signal-expected{right: 2, all: 3}');
  expect(found('marked-step', ['signal'], [pumped])).toEqual([]);
  const moving = over(4, (s) => 0.5 + s);
  expect(found('marked-step', ['signal'], [moving], { marks: [step(2, 20)] })).toMatchObject([
    { weight: 'note', sentence: 'sweep.marked-steps-where-signal-expected{right: 1, all: 1}' },
  ]);
});

test.each(reference.steps.map((one) => [one.truth.secondsTo63, one] as const))(
  'an answer with a time constant of %s s is told as the generator knows it; a slow hand is no answer',
  (_tau, { rate, millivolts, truth }) => {
    const volts = Float64Array.from(millivolts, (value) => value / 1000);
    const seconds = Float64Array.from(volts, (_, i) => i / rate);
    const [answer] = found('step-response', ['signal'], [volts], { seconds });
    expect(answer!.untilSeconds - answer!.fromSeconds).toBeCloseTo(truth.secondsTo90, 1);
    expect(answer!.sentence).toMatch(
      /^sweep\.answers\{name: sweep\.the-signal, steps: 1, initial: 1\.00, final: 3\.\d\d V, clock: .*to63: \d+ ms/u,
    );
    const byHand = over(8, (s) => 1 + 2.5 * Math.min(1, Math.max(0, (s - 2) / 3)));
    expect(found('step-response', ['signal'], [byHand])).toEqual([]);
  },
);

test('over the revs the signal is told at both ends; a differential pressure that does not answer is a fault', () => {
  const revs = over(20, (s) => 820 + 1100 * (1 - Math.cos(s / 2)));
  const follows = revs.map((rpm) => 0.5 + (rpm - 820) / 1000);
  expect(found('revs', ['signal', 'revs'], [follows, revs])).toMatchObject([
    {
      weight: 'note',
      sentence:
        'sweep.signal-revs{rises: true, ends: [' +
        'sweep.at-revs{volts: 0.61 V, value: 1.124 differential-pressure, rpm: 930}, ' +
        'sweep.at-revs{volts: 2.60 V, value: 20.98 differential-pressure, rpm: 2920}]}',
    },
  ]);
  const stands = revs.map(() => 0.52);
  expect(found('revs', ['signal', 'revs'], [stands, revs])[0]).toMatchObject({ weight: 'fault' });
  expect(found('revs', ['signal', 'revs'], [stands, revs.map(() => 820)])).toEqual([]);
});

test('a signal that goes back while the stimulus goes on is told with its place; noise is not', () => {
  const stimulus = over(16, (s) => 40 * (1 - Math.abs(s / 8 - 1)));
  const noise = (i: number) => 0.004 * Math.sin(i * 12.9898);
  const sound = stimulus.map((kpa, i) => 0.5 + 0.1 * kpa + noise(i));
  expect(found('backward', ['signal', 'stimulus'], [sound, stimulus])).toEqual([]);
  const worn = sound.map((volts, i) => volts - 0.35 * Math.exp(-(((stimulus[i]! - 26) / 1) ** 2)));
  const [fault] = found('backward', ['signal', 'stimulus'], [worn, stimulus]);
  expect(fault?.weight).toBe('fault');
  expect(Math.abs(fault!.position! - 26)).toBeLessThan(1.5);
  expect(fault?.sentence).toMatch(
    /^sweep\.signal-goes-back-mv-although\{by: \d+ mV, position: 2[567]\.\d+ differential-pressure\}/u,
  );
});

test('a stretch from which nothing came is told, with how long it was', () => {
  const values = over(10, () => 2);
  const seconds = Float64Array.from(values, (_, i) => i / RATE + (i >= 400 ? 3.2 : 0));
  expect(found('gap', ['signal'], [values], { seconds })).toMatchObject([
    { sentence: 'sweep.nothing-recorded-into-recording{lasting: 3.2 s, clock: 3.99 s}' },
  ]);
  expect(found('gap', ['signal'], [values])).toEqual([]);
});

test('an offset against the gauge that changes at a moment is told with it; less than matters, or one way only, is not', () => {
  const levels = [5, 15, 25, 15];
  const kpa = over(80, (s) => levels[Math.floor(s / 5) % 4]! + 0.02 * Math.sin(700 * s));
  const signal = (by: number) =>
    kpa.map((one, i) => 0.5 + 0.1 * (one + (i / RATE >= 47 ? by : 0)) + 0.002 * Math.sin(900 * i));
  const [change] = found('offset', ['signal', 'stimulus'], [signal(2.6), kpa]);
  expect(change).toMatchObject({ weight: 'fault', channel: 0, untilSeconds: 79.99 });
  expect(Math.abs(change!.fromSeconds - 47)).toBeLessThanOrEqual(1);
  expect(change!.sentence).toMatch(
    /^sweep\.offset-changed\{name: sweep\.the-signal, by: 2\.[56]\d* differential-pressure, higher: true, clock: 4[67]\.\d\d s\}/u,
  );
  expect(found('offset', ['signal', 'stimulus'], [signal(1.5), kpa])).toEqual([]);
  // A wire that breaks is a dropout, and no offset.
  const broken = signal(0).map((volts, i) => (i / RATE >= 47 ? 0.01 : volts));
  expect(found('offset', ['signal', 'stimulus'], [broken, kpa])).toEqual([]);
  expect(found('offset', ['signal', 'other'], [signal(2.6), kpa])).toEqual([]);
});
