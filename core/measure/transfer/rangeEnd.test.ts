import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  boundOf,
  curveOf,
  MPX4115A,
  MPX4250A,
  signalFromValue,
  valueFromSignal,
  type SensorProfile,
} from './index.ts';

const flow: SensorProfile = {
  ...MPX4250A,
  measures: 'air-flow',
  transfer: { form: 'hot-element', a: 1, b: 1.2, n: 0.45 },
  lowest: 0,
  highest: 250,
  tolerance: { form: 'of-value', percent: 4, atLeast: 0.3 },
};
const at = (signalVolts: number, profile: SensorProfile, referenceVolts = 5) =>
  valueFromSignal({ signalVolts, referenceVolts, returnVolts: 0 }, profile);

test.each([MPX4115A, MPX4250A, flow])(
  'the exact ends of a range are inside it, at any supply (%#)',
  (profile) => {
    fc.assert(
      fc.property(fc.double({ min: 4.5, max: 5.5, noNaN: true }), (supply) => {
        for (const end of [profile.lowest, profile.highest]) {
          const { signalVolts, extrapolated } = signalFromValue(end, supply, profile);
          expect(extrapolated).toBe(false);
          expect(boundOf(signalVolts, supply, profile)).toBeUndefined();
        }
      }),
    );
  },
);

test('a sensor at rest within its tolerance is inside its range, and past it a bound', () => {
  // MPX4250A: 0.2 V at 20 kPa, tolerance 3.45 kPa, 20 mV/kPa.
  expect(boundOf(0.2 - 0.06, 5, MPX4250A)).toBeUndefined();
  expect(boundOf(0.2 - 0.08, 5, MPX4250A)).toEqual({ is: 'at-or-below', value: 20 });
  expect(boundOf(4.8 + 0.08, 5, MPX4250A)).toEqual({ is: 'at-or-above', value: 250 });
});

test('below still air a flow meter is judged by its volts: a dead one is no plausible zero', () => {
  const stillAir = curveOf(flow, 5).voltsAt(0);
  expect(stillAir).toBeCloseTo(1, 9);
  expect(boundOf(stillAir - 0.04, 5, flow)).toBeUndefined();
  const dead = at(0.7, flow);
  // Its mirrored curve alone would call this −0.1 g/s: near enough to nothing to be believed.
  expect(dead.ok && Math.abs(dead.value.value)).toBeLessThan(0.3);
  expect(dead).toMatchObject({ value: { extrapolated: true, bound: { is: 'at-or-below', value: 0 } } });
});

test('where the electronics saturate a reading is a bound, and the limit follows the supply', () => {
  const saturating: SensorProfile = { ...MPX4250A, outputVolts: { lowest: 0.3, highest: 4.6 } };
  expect(boundOf(0.3, 5, saturating)).toMatchObject({ is: 'at-or-below' });
  expect(boundOf(0.3, 5, saturating)?.value).toBeCloseTo(25, 9); // (0.3/5 + 0.04)/0.004
  expect(boundOf(0.31, 5, saturating)).toBeUndefined();
  expect(boundOf(0.29, 4.8, saturating)).toBeUndefined(); // 0.288 V at 4.8 V
  expect(boundOf(4.65, 5, saturating)).toMatchObject({ is: 'at-or-above' });
});

test.each([NaN, Infinity, -Infinity])('%d V is a problem, not a value', (volts) => {
  expect(at(volts, MPX4250A)).toMatchObject({ ok: false, problem: { code: 'not-a-number' } });
  expect(at(2, MPX4250A, volts)).toMatchObject({ ok: false });
});

test('outside the supply that a part is made for every conversion says so', () => {
  const part: SensorProfile = { ...MPX4250A, supplyVolts: { lowest: 4.85, highest: 5.35 } };
  expect(at(2, part, 5)).toMatchObject({ value: { supplyOutside: false } });
  expect(at(2, part, 4.7)).toMatchObject({ value: { supplyOutside: true } });
  expect(at(2, part, 5.5)).toMatchObject({ value: { supplyOutside: true } });
  expect(at(2, MPX4250A, 4.2)).toMatchObject({ value: { supplyOutside: false } });
});
