import { expect, test } from 'vitest';
import { exampleCase } from './exampleCase.ts';
import { sweepGuides } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const UNITS = { vacuum: 'inHg', absolute: 'kPa' } as const;

test('a manifold sensor is pumped in steps of its own unit, each with what the signal should be, or revved', () => {
  const [pump, revs, ...others] = coded(sweepGuides(exampleCase([]), UNITS));
  expect(others).toEqual([]);
  expect(pump).toMatchObject({ id: 'pump', cautions: [] });
  expect(pump!.steps.map(({ words }) => words)).toEqual([
    'checks.pump-off',
    'checks.pump-step{pressure: 16.93 kPa in inHg, vacuum: true}', // 5 · 3.386
    'checks.pump-step{pressure: 33.86 kPa in inHg, vacuum: true}',
    'checks.pump-step{pressure: 50.8 kPa in inHg, vacuum: true}',
    'checks.pump-step{pressure: 67.73 kPa in inHg, vacuum: true}',
    'checks.pump-step{pressure: 84.66 kPa in inHg, vacuum: true}',
  ]);
  // 100 kPa less 10 inHg (33.86 kPa) is 66.14 kPa: 5 · (0.0078 · 66.14 + 0.02) = 2.68 V.
  const { lowest, highest } = pump!.steps[2]!.expectedVolts!;
  expect((lowest + highest) / 2).toBeCloseTo(2.68, 2);
  expect(revs!.cautions).toContain('cautions.engine-running-hands-leads-sleeves');
});

test('without the ambient pressure there is no pump table for an absolute sensor; what has an arm is moved and snapped', () => {
  expect(coded(sweepGuides(exampleCase([], { ambient: undefined }), UNITS)).map(({ id }) => id)).toEqual([
    'revs',
  ]);
  expect(coded(sweepGuides(exampleCase([], { family: 'pedal' }), UNITS)).map(({ id }) => id)).toEqual([
    'slow-travel',
    'snap',
  ]);
  expect(sweepGuides(exampleCase([], { family: 'fuel-rail-pressure' }), UNITS)).toEqual([]);
});
