import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  curveOf,
  fitLine,
  isMonotone,
  MPX4250A,
  pchip,
  valueFromSignal,
  valuesFromSignals,
  type SensorProfile,
} from './index.ts';
import scipy from './reference/scipy.json' with { type: 'json' };

test.each(scipy.pchips)(
  'the cubic through $volts is scipy’s PchipInterpolator, values and slopes',
  (table) => {
    const cubic = pchip(table.volts, table.kpaAbs);
    table.at.forEach((x, i) => {
      expect(cubic.at(x)).toBeCloseTo(table.value[i] ?? NaN, 9);
      expect(cubic.slopeAt(x)).toBeCloseTo(table.slope[i] ?? NaN, 8);
    });
  },
);

test('the straight-line fit and its uncertainty are numpy’s polyfit and covariance', () => {
  const { kpaAbs, volts, slope, intercept, at, uncertainty } = scipy.fit;
  const fit = fitLine(kpaAbs.map((kpa, i) => ({ value: kpa, volts: volts[i] ?? NaN })));
  if (!fit.ok) throw new Error(fit.problem.code);
  expect(fit.value.voltsPerUnit).toBeCloseTo(slope, 12);
  expect(fit.value.voltsAtZero).toBeCloseTo(intercept, 12);
  at.forEach((kpa, i) =>
    expect(fit.value.standardUncertaintyVoltsAt(kpa)).toBeCloseTo(uncertainty[i] ?? NaN, 12),
  );
});

const table = (over: Partial<Extract<SensorProfile['transfer'], { form: 'table' }>> = {}): SensorProfile => ({
  ...MPX4250A,
  transfer: {
    form: 'table',
    ratiometric: false,
    points: [
      { volts: 0.5, value: 20 },
      { volts: 1, value: 34 },
      { volts: 2, value: 71 },
      { volts: 3.5, value: 140 },
      { volts: 4.5, value: 200 },
    ],
    ...over,
  },
});
const falling = table({
  points: [20, 60, 110].map((value) => ({ value, volts: 4.8 - value ** 1.1 / 50 })),
});

test.each([
  ['rising', table()],
  ['falling', falling],
  ['ratiometric', table({ ratiometric: true })],
])('volts and back are the identity inside a %s table, at any supply', (_kind, profile) => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 110, noNaN: true }),
      fc.double({ min: 4, max: 5.5, noNaN: true }),
      (kpa, supply) => {
        const curve = curveOf(profile, supply);
        return Math.abs(curve.valueAt(curve.voltsAt(kpa)) - kpa) < 1e-6;
      },
    ),
  );
});

test('past its ends a table goes on straight, and the answer is marked', () => {
  const profile = { ...table(), highest: 200 };
  const beyond = valueFromSignal({ signalVolts: 4.9, referenceVolts: 5, returnVolts: 0 }, profile);
  expect(beyond).toMatchObject({ ok: true, value: { extrapolated: true } });
  const curve = curveOf(profile, 5);
  expect(curve.valueAt(curve.voltsAt(215))).toBeCloseTo(215, 9);
});

test('a ratiometric table follows its supply: at 90 % of the reference, 90 % of the volts mean the same', () => {
  const profile = table({ ratiometric: true });
  expect(curveOf(profile, 4.5).voltsAt(71)).toBeCloseTo(1.8, 6);
  expect(curveOf(profile, 4.5).shareOfSupplyAt(1.8)).toBeCloseTo(0.4, 12);
  expect(curveOf(table(), 4.5).voltsAt(71)).toBeCloseTo(2, 6);
});

test('a cubic between monotone points never turns', () => {
  const steps = fc.array(
    fc.tuple(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 0.01, max: 50, noNaN: true })),
    { minLength: 2, maxLength: 12 },
  );
  fc.assert(
    fc.property(steps, (pairs) => {
      const xs = [0];
      const ys = [0];
      for (const [dx, dy] of pairs) {
        xs.push((xs.at(-1) ?? 0) + dx);
        ys.push((ys.at(-1) ?? 0) + dy);
      }
      const cubic = pchip(xs, ys);
      const end = xs.at(-1) ?? 0;
      return Array.from({ length: 200 }, (_, i) => cubic.slopeAt((end * i) / 199)).every(
        (slope) => slope >= -1e-9,
      );
    }),
  );
});

test('a table converts in a batch as it does one by one', () => {
  const volts = Float64Array.of(0.6, 2.2, 4.4);
  const kpa = new Float64Array(3);
  valuesFromSignals(volts, 5, table(), kpa);
  volts.forEach((v, i) => expect(kpa[i]).toBe(curveOf(table(), 5).valueAt(v)));
});

test('points that turn, repeat or stand still are not monotone', () => {
  const of = (...pairs: [number, number][]) => isMonotone(pairs.map(([volts, value]) => ({ volts, value })));
  expect(of([1, 10], [2, 20], [3, 30])).toBe(true);
  expect(of([3, 10], [2, 20], [1, 30])).toBe(true); // a falling sensor, in any order
  expect(of([1, 10], [2, 30], [3, 20])).toBe(false);
  expect(of([1, 10], [1, 20], [3, 30])).toBe(false);
  expect(of([1, 10], [2, 10], [3, 30])).toBe(false);
  expect(of()).toBe(false);
});

test('a mistyped point is pointed out and not dropped; two points fit exactly and tell no scatter', () => {
  const good = [20, 40, 60, 80, 100].map((value) => ({
    value,
    volts: 0.1 + 0.04 * value + (value % 40 ? 0.004 : -0.004),
  }));
  const clean = fitLine(good);
  expect(clean.ok && clean.value.doubtful).toBeUndefined();
  const slipped = fitLine(good.map((point, i) => (i === 3 ? { ...point, volts: point.volts + 0.9 } : point)));
  expect(slipped.ok && slipped.value.doubtful).toBe(3);
  expect(slipped.ok && slipped.value.residualVolts).toHaveLength(5);
  const two = fitLine(good.slice(0, 2));
  expect(two.ok && two.value.scatterVolts).toBe(0);
  expect(fitLine(good.slice(0, 1))).toMatchObject({ ok: false, problem: { code: 'too-few-points' } });
});
