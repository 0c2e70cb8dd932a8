import { judge, weigherFor } from '@lettura/core/judge/weighing';
import type { CaseFile } from '@lettura/core/judge/checks';
import { expect, test } from 'vitest';
import { exampleCase } from '../core/judge/checks/exampleCase.ts';
import { goodSupply, KOEO, wire, WIRES } from '../core/judge/weighing/exampleWeighing.ts';
import { PRESSURE_SENSORS } from './sensors/pressureSensors.ts';

/** A hand pump in kPa, and the volts that were read. */
const STEPS = [
  [0, 0.507],
  [25, 1.512],
  [50, 2.503],
  [75, 2.94],
  [100, 2.96],
] as const;

// No cause that is listed does this: right up to 50 kPa, and no farther than 2.95 V.
test('an output that stops on its way leads to the sensor, before hose and “nothing wrong”', () => {
  const { profile, family } = Object.values(PRESSURE_SENSORS).find(({ name }) => name.includes('DP-100'))!;
  const caseFile = exampleCase(
    [
      ...goodSupply(),
      wire('signal', 'plug', 0.51),
      ...STEPS.map(([kpaAboveAmbient, volts]) =>
        wire('signal', 'plug', volts, { ...KOEO, stimulus: { kind: 'pump', kpaAboveAmbient } }),
      ),
    ] as CaseFile['readings'][number][],
    { family, profile },
  );
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  const shareOf = (id: string) => ranked.find(({ decision }) => decision.id === id)!.share;
  expect(ranked[0]!.decision.id).toBe('sensor');
  expect(shareOf('sensor')).toBeGreaterThan(0.5);
  expect(shareOf('hose') + shareOf('nothing')).toBeLessThan(0.25);
});
