import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import { goodSupply, IDLE, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
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
  const proven = standing([
    ...goodSupply(),
    wire('signal', 'plug', 0.002),
    wire('signal', 'plug', 0.003, IDLE),
    wire('signal', 'plug', 4.96, PLUG_OFF),
  ]).ranked[0]!;
  expect(proven.share).toBeGreaterThan(0.95);
  expect(proven.share).toBeLessThan(0.97 + 0.03 * proven.decision.prior + 1e-9);
});
