import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import { IDLE, wire, WIRES } from '../exampleWeighing.ts';
import { judge, weigherFor } from '../index.ts';

const judged = (returnVolts: number) => {
  const caseFile = exampleCase([
    wire('reference', 'plug', 5),
    wire('signal', 'plug', 4),
    wire('return', 'plug', returnVolts),
    wire('return', 'plug', returnVolts + 0.01),
    wire('signal', 'plug', 1.35, IDLE),
  ]);
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  const shareOf = (start: string) =>
    ranked.reduce((sum, { decision, share }) => sum + (decision.id.startsWith(start) ? share : 0), 0);
  return { nothing: shareOf('nothing'), returned: shareOf('wire return') };
};

test('a return that shows twice just what the signal shows may be the signal’s pin; at any other volts it is what it is noted as', () => {
  const [same, other] = [judged(4), judged(3.5)];
  expect(same.nothing).toBeGreaterThan(same.returned);
  expect(same.nothing).toBeGreaterThan(10 * other.nothing);
  expect(other.returned).toBeGreaterThan(0.5);
});
