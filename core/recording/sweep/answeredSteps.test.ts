import { expect, test } from 'vitest';
import { MPX4250A, type SensorProfile } from '../../measure/transfer/index.ts';
import { answeredSteps, stepsIn } from './index.ts';

const RATE = 2000;
const LEVELS = [1, 2.5, 1.5, 3];
/** Held for two seconds each; the signal is a second-order system that answers after a dead time. */
function driven({ dead, tau, damping }: { dead: number; tau: number; damping?: number }) {
  const samples = 2 * LEVELS.length * RATE;
  const stimulus = new Float64Array(samples);
  const volts = new Float64Array(samples);
  for (let i = 0; i < samples; i++) {
    const step = Math.floor(i / (2 * RATE));
    stimulus[i] = 10 * LEVELS[step]!;
    const since = i / RATE - 2 * step - dead;
    const before = LEVELS[Math.max(0, step - 1)]!;
    volts[i] = before + (LEVELS[step]! - before) * (since <= 0 ? 0 : answer(since, tau, damping));
  }
  return { seconds: Float64Array.from(volts, (_, i) => i / RATE), stimulus, volts };
}
/** Of a step of one: first order, or second order with a damping below one. */
function answer(since: number, tau: number, damping = 1): number {
  if (damping === 1) return 1 - Math.exp(-since / tau);
  const natural = 1 / tau;
  const ringing = natural * Math.sqrt(1 - damping ** 2);
  const decay = Math.exp(-damping * natural * since);
  return (
    1 - decay * (Math.cos(ringing * since) + ((damping * natural) / ringing) * Math.sin(ringing * since))
  );
}
const within = (found: number, truth: number) => Math.abs(found / truth - 1);

test('dead time and time constant of every step, to 2 % of what was simulated', () => {
  const { seconds, stimulus, volts } = driven({ dead: 0.08, tau: 0.12 });
  const found = answeredSteps(seconds, volts, stimulus);
  expect(found.map(({ initial, final }) => [initial, final].map((v) => Number(v.toFixed(2))))).toEqual([
    [1, 2.5],
    [2.5, 1.5],
    [1.5, 3],
  ]);
  for (const step of found) {
    // The onset is seen 2 % of the step late: by 2.4 ms here.
    expect(Math.abs(step.stimulus!.deadSeconds - 0.08)).toBeLessThan(0.004);
    expect(within(step.secondsTo63 + step.stimulus!.deadSeconds, 0.2)).toBeLessThan(0.02);
    expect(within(step.secondsTo90 - step.secondsTo63, 0.12 * (Math.log(10) - 1))).toBeLessThan(0.02);
    expect(step.overshootPercent).toBe(0);
  }
});

// exp(−π·0.4/√(1 − 0.16)) is 25.38 % (any textbook of control).
test('overshoot of a system that rings is that of its damping', () => {
  const { seconds, stimulus, volts } = driven({ dead: 0, tau: 0.05, damping: 0.4 });
  const found = answeredSteps(seconds, volts, stimulus);
  expect(found).toHaveLength(3);
  for (const { overshootPercent } of found) expect(within(overshootPercent, 25.38)).toBeLessThan(0.02);
});

test('steps are told in volts, whatever the recording is in, and only of a channel that is known', () => {
  const { seconds, volts } = driven({ dead: 0, tau: 0.1 });
  const inMillivolts = {
    seconds,
    channels: [{ name: 'S', unit: 'mV', values: volts.map((one) => 1000 * one) }],
  };
  const profile: SensorProfile = {
    ...MPX4250A,
    tolerance: { form: 'plus-minus', plusMinus: 3 },
    bias: 'pull-up',
  };
  const found = stepsIn(inMillivolts, { profile, uses: ['signal'] });
  expect(found.map(({ final }) => Number(final.toFixed(2)))).toEqual([2.5, 1.5, 3]);
  expect(stepsIn(inMillivolts, { profile, uses: ['other'] })).toEqual([]);
});

test('without a stimulus there is no dead time, and a hand that moves slowly makes no step', () => {
  const { seconds, volts } = driven({ dead: 0, tau: 0.1 });
  expect(answeredSteps(seconds, volts).map(({ stimulus }) => stimulus)).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
  const slow = Float64Array.from(
    { length: 8000 },
    (_, i) => 1 + 2 * Math.min(1, Math.max(0, (i - 2000) / 4000)),
  );
  const times = slow.map((_, i) => i / RATE);
  expect(answeredSteps(times, slow)).toEqual([]);
  expect(answeredSteps(times, slow, slow)).toHaveLength(1);
});
