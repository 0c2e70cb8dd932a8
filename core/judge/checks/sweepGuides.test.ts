import { inWords } from '@lettura/words';
import { expect, test } from 'vitest';
import { exampleCase } from './exampleCase.ts';
import { sweepGuides } from './index.ts';

const UNITS = { vacuum: 'inHg', absolute: 'kPa' } as const;

test('a manifold sensor is pumped in steps of its own unit, each with what the signal should be, or revved', () => {
  const [pump, revs, ...others] = inWords(sweepGuides(exampleCase([]), UNITS));
  expect(others).toEqual([]);
  expect(pump).toMatchObject({ id: 'pump', cautions: [] });
  expect(pump!.steps.map(({ words }) => words)).toEqual([
    'Pump off',
    '5 inHg vacuum',
    '10 inHg vacuum',
    '15 inHg vacuum',
    '20 inHg vacuum',
    '25 inHg vacuum',
  ]);
  // 100 kPa less 10 inHg (33.86 kPa) is 66.14 kPa: 5 · (0.0078 · 66.14 + 0.02) = 2.68 V.
  const { lowest, highest } = pump!.steps[2]!.expectedVolts!;
  expect((lowest + highest) / 2).toBeCloseTo(2.68, 2);
  expect(revs!.cautions.join()).toContain('belts');
});

test('without the ambient pressure there is no pump table for an absolute sensor; what has an arm is moved and snapped', () => {
  expect(inWords(sweepGuides(exampleCase([], { ambient: undefined }), UNITS)).map(({ id }) => id)).toEqual([
    'revs',
  ]);
  expect(inWords(sweepGuides(exampleCase([], { family: 'pedal' }), UNITS)).map(({ id }) => id)).toEqual([
    'slow-travel',
    'snap',
  ]);
  expect(inWords(sweepGuides(exampleCase([], { family: 'fuel-rail-pressure' }), UNITS))).toEqual([]);
});
