import fc from 'fast-check';
import { expect, test } from 'vitest';
import { curveOf, MPX4250A, transferFromPoints, type CurvePoint, type ShapeChoice } from './index.ts';
import scipy from './reference/scipy.json' with { type: 'json' };

const choice: ShapeChoice = { form: 'line', degree: 3, ratiometric: false, referenceVolts: 5 };

function fitted(points: readonly CurvePoint[], over: Partial<ShapeChoice>) {
  const fit = transferFromPoints(points, { ...choice, ...over });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
}

test('a cubic fitted to noisy points is numpy’s polyfit, coefficients and uncertainty', () => {
  const { volts, value, coefficients, at, uncertainty } = scipy.polynomial;
  const points = volts.map((v, i) => ({ volts: v, value: value[i] ?? NaN }));
  const fit = fitted(points, { form: 'polynomial' });
  if (fit.transfer.form !== 'polynomial') throw new Error(fit.transfer.form);
  fit.transfer.coefficients.forEach((c, i) => expect(c).toBeCloseTo(coefficients[i] ?? NaN, 9));
  const curve = curveOf({ ...MPX4250A, transfer: fit.transfer }, 5);
  at.forEach((v, i) => {
    const inVolts = (uncertainty[i] ?? NaN) / curve.valuePerVoltAt(v);
    expect(fit.standardUncertaintyVoltsAt(curve.valueAt(v))).toBeCloseTo(inVolts, 9);
  });
  expect(fit.doubtful).toBeUndefined();
});

test('the hot-element law fitted to noisy points is scipy’s curve_fit, parameters and uncertainty', () => {
  const { flow, volts, parameters, at, uncertainty } = scipy.hotElement;
  const points = flow.map((value, i) => ({ value, volts: volts[i] ?? NaN }));
  const fit = fitted(points, { form: 'hot-element' });
  if (fit.transfer.form !== 'hot-element') throw new Error(fit.transfer.form);
  const { a, b, n } = fit.transfer;
  [a, b, n].forEach((parameter, i) => expect(parameter).toBeCloseTo(parameters[i] ?? NaN, 6));
  at.forEach((value, i) =>
    expect(fit.standardUncertaintyVoltsAt(value)).toBeCloseTo(uncertainty[i] ?? NaN, 7),
  );
});

const LAWS = {
  line: (volts: number) => 12 + 22 * volts,
  polynomial: (volts: number) => 5 + 9 * volts + 2 * volts ** 2,
  'hot-element': (volts: number) => ((volts ** 2 - 0.8) / 0.9) ** (1 / 0.5),
} as const;
const VOLTS = [1, 1.3, 1.7, 2.1, 2.6, 3, 3.5, 4.1, 4.6];

test.each(Object.keys(LAWS) as (keyof typeof LAWS)[])(
  'a slipped point is pointed out against a %s, and a clean set has none',
  (form) => {
    const clean = VOLTS.map((volts, i) => ({
      volts: volts + (i % 2 ? 0.004 : -0.004),
      value: LAWS[form](volts),
    }));
    expect(fitted(clean, { form }).doubtful).toBeUndefined();
    const slipped = clean.map((point, i) => (i === 4 ? { ...point, volts: point.volts + 0.5 } : point));
    const fit = fitted(slipped, { form });
    expect(fit.doubtful).toBe(4);
    expect(fit.residualVolts).toHaveLength(VOLTS.length);
  },
);

test.each([
  ['polynomial', VOLTS.slice(0, 3), (v: number) => v, 'too-few-points'],
  ['polynomial', VOLTS, (v: number) => (v - 2.5) ** 2, 'not-monotone'],
  ['hot-element', VOLTS.slice(0, 3), LAWS['hot-element'], 'too-few-points'],
  ['hot-element', VOLTS, (v: number) => 50 - 10 * v, 'no-such-law'],
] as const)('points that give no %s are refused (%#)', (form, volts, law, code) => {
  const points = volts.map((v) => ({ volts: v, value: law(v) }));
  expect(transferFromPoints(points, { ...choice, form })).toMatchObject({ ok: false, problem: { code } });
});

test('points that no instrument tells apart are one', () => {
  const close = [1.08e-225, 4.77e-224, -1.2e-221, 0].map((volts, i) => ({ volts, value: i }));
  expect(transferFromPoints(close, { ...choice, form: 'polynomial' })).toMatchObject({
    ok: false,
    problem: { code: 'too-few-points' },
  });
});

test('whatever points are given, a fit is refused or finite', () => {
  const point = fc.record({
    volts: fc.double({ min: -1, max: 16, noNaN: true }),
    value: fc.double({ min: -200, max: 40_000, noNaN: true }),
  });
  fc.assert(
    fc.property(
      fc.array(point, { maxLength: 15 }),
      fc.constantFrom('line', 'polynomial', 'hot-element'),
      (points, form) => {
        const fit = transferFromPoints(points, { ...choice, form });
        if (!fit.ok) return true;
        const { residualVolts, scatterVolts, standardUncertaintyVoltsAt } = fit.value;
        return [...residualVolts, scatterVolts, standardUncertaintyVoltsAt(10)].every(Number.isFinite);
      },
    ),
  );
});
