import { expect, test } from 'vitest';
import { REFRIGERANTS, saturationKpaAbs } from './index.ts';
import reference from './reference/saturation.json' with { type: 'json' };

test.each(REFRIGERANTS)('%s is saturated within 0.5 %% of its published equation of state', (refrigerant) => {
  reference.celsius.forEach((celsius, i) => {
    const saturation = saturationKpaAbs(refrigerant, celsius + 273.15);
    const expected = reference.kpaAbs[refrigerant][i] ?? NaN;
    expect(saturation.ok && Math.abs(saturation.value / expected - 1)).toBeLessThan(0.005);
  });
});

// Tables of the ASHRAE Handbook, Fundamentals, kPa absolute (both from memory).
test.each([
  ['R-134a', -20, 132.73],
  ['R-134a', 0, 292.8],
  ['R-134a', 20, 571.71],
  ['R-134a', 40, 1016.6],
  ['R-134a', 60, 1681.8],
  ['R-1234yf', -20, 150.9],
  ['R-1234yf', 0, 315.8],
  ['R-1234yf', 20, 591.7],
  ['R-1234yf', 40, 1018.4],
  ['R-1234yf', 60, 1641.7],
] as const)('%s at %d °C is saturated at %d kPa absolute: ASHRAE Fundamentals', (name, celsius, kpaAbs) => {
  const saturation = saturationKpaAbs(name, celsius + 273.15);
  expect(saturation.ok && Math.abs(saturation.value / kpaAbs - 1)).toBeLessThan(0.005);
});

test.each([-30, 75, NaN])('%d °C is outside the checked range and refused', (celsius) => {
  expect(saturationKpaAbs('R-1234yf', celsius + 273.15)).toMatchObject({
    ok: false,
    problem: { code: 'temperature-out-of-range' },
  });
});
