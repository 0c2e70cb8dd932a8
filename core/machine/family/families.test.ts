import { expect, test } from 'vitest';
import { isPressure, MEASURANDS } from '../../measure/quantity/index.ts';
import { canBePumped, FAMILIES, FAMILY_IDS, familyOf, liveDataStep } from './index.ts';

test('no hand pump is asked for where it cannot go or must not', () => {
  const pumped = FAMILY_IDS.filter(canBePumped);
  expect(pumped).toEqual([
    'manifold-pressure',
    'boost-pressure',
    'filter-differential',
    'exhaust-flow-differential',
    'other',
  ]);
  for (const id of pumped) expect(familyOf(id).measures.every(isPressure)).toBe(true);
});

test('what a family measures is known by its unit, and named once', () => {
  for (const id of FAMILY_IDS) {
    const { measures } = familyOf(id);
    expect(new Set(measures).size, id).toBe(measures.length);
    for (const one of measures) expect(MEASURANDS[one].unit, id).toMatch(/^(kPa|%|°|g\/s)$/u);
  }
  expect(new Set(FAMILY_IDS.map((id) => FAMILIES[id].words.code)).size).toBe(FAMILY_IDS.length);
});

// SAE J1979 service 01 (from memory): items 0B and 33 count 1 kPa, 23 10 kPa, 11 and 49 100/255 %, 10 0.01 g/s.
test.each([
  ['manifold-pressure', 'absolute-pressure', 1],
  ['barometric-pressure', 'absolute-pressure', 1],
  ['fuel-rail-pressure', 'gauge-pressure', 10],
  ['throttle', 'position', 0.392],
  ['pedal', 'position', 0.392],
  ['air-flow', 'air-flow', 0.01],
] as const)('live data of a %s sensor counts in steps of %s %d', (family, measures, step) => {
  expect(liveDataStep(family, measures)).toBeCloseTo(step, 3);
});
