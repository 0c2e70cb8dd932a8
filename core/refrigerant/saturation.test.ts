import { expect, test } from 'vitest';
import { r134aSaturationKpaAbs } from './index.ts';

// ASHRAE Handbook, Fundamentals, R-134a saturation table, kPa absolute (from memory).
test.each([
  [-20, 132.73],
  [-10, 200.6],
  [0, 292.8],
  [10, 414.61],
  [20, 571.71],
  [30, 770.2],
  [40, 1016.6],
  [50, 1317.9],
  [60, 1681.8],
])('R-134a at %d °C is saturated at %d kPa absolute: ASHRAE Fundamentals', (celsius, kpaAbs) => {
  const saturation = r134aSaturationKpaAbs(celsius + 273.15);
  expect(saturation.ok && Math.abs(saturation.value / kpaAbs - 1)).toBeLessThan(0.005);
});

test.each([-30, 75, NaN])('%d °C is outside the checked range and refused', (celsius) => {
  expect(r134aSaturationKpaAbs(celsius + 273.15)).toMatchObject({
    ok: false,
    problem: { code: 'temperature-out-of-range' },
  });
});
