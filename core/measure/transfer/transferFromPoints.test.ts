import { expect, test } from 'vitest';
import { curveOf, MPX4250A, transferFromPoints, type CurvePoint } from './index.ts';

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
