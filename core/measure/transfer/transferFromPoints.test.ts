import { expect, test } from 'vitest';
import { curveOf, MPX4250A, transferFromPoints, valueOfPulses, type CurvePoint } from './index.ts';

// Points on V = 4.95 · (0.004·P − 0.04), the published MPX4250A curve at 4.95 V.
const points: CurvePoint[] = [20, 60, 100, 180].map((value) => ({
  value,
  volts: 4.95 * (0.004 * value - 0.04),
}));
const choice = { form: 'line', degree: 3, ratiometric: true, referenceVolts: 4.95 } as const;

test('points of a known-good ratiometric part give back its data sheet', () => {
  const transfer = transferFromPoints(points, choice);
  expect(transfer).toMatchObject({ ok: true, value: { transfer: { form: 'ratiometric' } } });
  if (transfer.ok && transfer.value.transfer.form === 'ratiometric') {
    expect(transfer.value.transfer.sharePerUnit).toBeCloseTo(0.004, 12);
    expect(transfer.value.transfer.shareAtZero).toBeCloseTo(-0.04, 12);
  }
});

test('the same points as a plain line and as a table convert alike at the reference they were noted at', () => {
  for (const form of ['line', 'table'] as const) {
    const transfer = transferFromPoints(points, { ...choice, form, ratiometric: false });
    if (!transfer.ok) throw new Error(transfer.problem.code);
    const curve = curveOf({ ...MPX4250A, transfer: transfer.value.transfer }, 5);
    expect(curve.valueAt(1.2)).toBeCloseTo(70.606, 2);
  }
});

test.each([
  [points.slice(0, 1), 'line', 'too-few-points'],
  [points.slice(0, 2), 'table', 'too-few-points'],
  [[...points, { value: 100, volts: 1 }], 'table', 'not-a-curve'],
  [points.map(({ value }) => ({ value, volts: 2.5 })), 'table', 'not-a-curve'],
  [points.map(({ value }) => ({ value, volts: 2.5 })), 'line', 'flat-line'],
] as const)('points that give no curve are refused with what to do (%#)', (given, form, code) => {
  const transfer = transferFromPoints(given, { ...choice, form });
  expect(transfer).toMatchObject({ ok: false, problem: { code } });
});

const steps = (...pairs: [value: number, step: number][]): CurvePoint[] =>
  pairs.map(([value, step]) => ({ value, volts: step }));
const sent = (of: readonly CurvePoint[]) =>
  transferFromPoints(of, { form: 'telegrams', degree: 3, ratiometric: false, referenceVolts: 5 });

test('two ends and their steps are what is sent, in whichever order they are given', () => {
  const transfer = {
    form: 'telegrams',
    low: { step: 193, value: 0 },
    high: { step: 3896, value: 180_000 },
  };
  expect(sent(steps([0, 193], [180_000, 3896]))).toMatchObject({ ok: true, value: { transfer } });
  expect(sent(steps([180_000, 3896], [0, 193]))).toMatchObject({ ok: true, value: { transfer } });
});

test.each([
  ['one end alone', steps([0, 193]), 'not-two-points'],
  ['a third point', steps([0, 193], [90, 2044], [180, 3896]), 'not-two-points'],
  ['one value twice', steps([5, 193], [5, 3896]), 'not-two-points'],
  ['volts instead of steps', steps([0, 0.5], [180, 4.5]), 'no-step'],
  ['a step that tells what is wrong', steps([0, 193], [180, 4090]), 'no-step'],
  ['one step for both', steps([0, 193], [180, 193]), 'flat-line'],
] as const)('%s is refused', (_what, points, code) => {
  expect(sent(points)).toMatchObject({ ok: false, problem: { code } });
});

const pairs = (...given: [value: number, at: number][]): CurvePoint[] =>
  given.map(([value, volts]) => ({ value, volts }));
const pulses = (form: 'frequency' | 'duty', of: readonly CurvePoint[]) =>
  transferFromPoints(of, { form, degree: 3, ratiometric: false, referenceVolts: 5 });

test('values and frequencies, or duties, are what is sent, through every point', () => {
  expect(pulses('frequency', pairs([20, 80], [60, 95.5], [100, 120]))).toMatchObject({
    ok: true,
    value: { transfer: { form: 'frequency', points: [{ hertz: 80, value: 20 }, {}, { hertz: 120 }] } },
  });
  const fit = pulses('duty', pairs([0, 90], [100, 10]));
  if (!fit.ok || fit.value.transfer.form !== 'duty') throw new Error('no fit');
  expect(valueOfPulses({ hertz: 100, upShare: 0.3 }, fit.value.transfer)).toBeCloseTo(75, 9);
});

test.each([
  ['one point', 'duty', pairs([0, 90]), 'too-few-points'],
  ['a line that always stands', 'duty', pairs([0, 0], [100, 90]), 'no-pulses'],
  ['a frequency that none has', 'frequency', pairs([0, 0.2], [100, 90]), 'no-pulses'],
  ['one value twice', 'frequency', pairs([5, 80], [5, 90]), 'not-monotone'],
  ['a value that turns round', 'frequency', pairs([0, 80], [50, 90], [20, 100]), 'not-monotone'],
] as const)('pulses: %s is refused', (_what, form, of, code) => {
  expect(pulses(form, of)).toMatchObject({ ok: false, problem: { code } });
});
