import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import { wire, WIRES } from '../exampleWeighing.ts';
import { firstStanding } from '../gate/judgement.ts';
import { weigherFor } from '../index.ts';

test('nothing is stated surer than readings can make it that may mislead as a whole', () => {
  const standing = (readings: Parameters<typeof exampleCase>[0]) => {
    const caseFile = exampleCase(readings);
    const found = firstStanding(weigherFor(caseFile, WIRES).caseOf(caseFile), caseFile, WIRES);
    expect(found.ranked.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    return found;
  };
  expect(standing([]).ranked[0]!.share).toBeLessThan(0.5);
  const [wires] = standing([
    wire('signal', 'plug', 0.01),
    wire('reference', 'plug', 0.02),
    wire('reference', 'unit', 4.99),
    wire('reference', 'connector', 4.98),
    wire('return', 'plug', 0.006),
  ]).classes;
  expect(wires!.class).toBe('wire');
  expect(wires!.share).toBeGreaterThan(0.95);
  expect(wires!.share).toBeLessThan(0.985);
});
