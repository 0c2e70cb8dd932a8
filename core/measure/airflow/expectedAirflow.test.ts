import { expect, test } from 'vitest';
import { standardPressureKpaAbs } from '../quantity/index.ts';
import { expectedAirflowGramsPerSecond, idleRuleGramsPerSecond, volumeFlowLitresPerSecond } from './index.ts';

// By hand: 1 L at 101.325 kPa and 288.15 K is 1.225 g (US Standard Atmosphere 1976, sea-level density); a 2 L engine
// at 3000 1/min with every filling complete breathes 2 · 25 = 50 L/s, so 61.25 g/s.
test('a 2 L engine at 3,000 1/min and standard air breathes 61.25 g/s when it fills completely', () => {
  const flow = expectedAirflowGramsPerSecond({
    displacementLitres: 2,
    revsPerMinute: 3000,
    pressureKpaAbs: standardPressureKpaAbs(0),
    temperatureKelvin: 288.15,
    volumetricEfficiency: 1,
  });
  expect(flow).toBeCloseTo(61.25, 2);
});

test('half the pressure is half the air, and warmer air is thinner', () => {
  const given = {
    displacementLitres: 1.6,
    revsPerMinute: 800,
    pressureKpaAbs: 32,
    temperatureKelvin: 300,
    volumetricEfficiency: 0.8,
  };
  const flow = expectedAirflowGramsPerSecond(given);
  expect(expectedAirflowGramsPerSecond({ ...given, pressureKpaAbs: 16 })).toBeCloseTo(flow / 2, 12);
  expect(expectedAirflowGramsPerSecond({ ...given, temperatureKelvin: 330 })).toBeCloseTo(
    (flow * 300) / 330,
    12,
  );
});

test('at idle speed–density and the litres rule tell about the same of a 6.8 L engine (common practice)', () => {
  const flow = expectedAirflowGramsPerSecond({
    displacementLitres: 6.8,
    revsPerMinute: 650,
    pressureKpaAbs: 32,
    temperatureKelvin: 310,
    volumetricEfficiency: 0.75,
  });
  const { lowest, highest } = idleRuleGramsPerSecond(6.8);
  expect(flow).toBeGreaterThan(lowest);
  expect(flow).toBeLessThan(highest);
});

// US Standard Atmosphere 1976: sea-level density 1.225 kg/m³ at 288.15 K and 101.325 kPa.
test('1.225 g/s of air is one litre a second at sea level on a standard day', () => {
  const air = { pressureKpaAbs: 101.325, temperatureKelvin: 288.15 };
  expect(volumeFlowLitresPerSecond(1.225, air)).toBeCloseTo(1, 4);
});
