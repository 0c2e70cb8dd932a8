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

test('a pin that may be taken for another tells hardly more when it is read again, and nothing the third time', () => {
  const withReads = (times: number, volts: number) => {
    const caseFile = exampleCase([
      wire('signal', 'plug', 4),
      wire('signal', 'plug', 1.35, IDLE),
      ...Array.from({ length: times }, () => wire('reference', 'plug', volts)),
    ]);
    const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
    const shareOf = (id: string) => ranked.find(({ decision }) => decision.id === id)!.share;
    // How much it speaks against a sound machine.
    return Math.log((1 - shareOf('nothing')) / shareOf('nothing'));
  };
  const once = withReads(1, 4);
  expect(withReads(2, 4) - once).toBeLessThan(Math.log(10));
  expect(withReads(3, 4) - withReads(2, 4)).toBeLessThan(Math.log(2));
  // What no other pin shows is there.
  expect(withReads(2, 3.5) - withReads(1, 3.5)).toBeGreaterThan(Math.log(30));
});

test('a supply that shows what it should twice outweighs one slip between', () => {
  const caseFile = exampleCase([
    wire('reference', 'plug', 5.02),
    wire('reference', 'plug', 0.03),
    wire('reference', 'plug', 5.02),
    wire('return', 'plug', 0.006),
    wire('signal', 'plug', 4),
    wire('signal', 'plug', 1.35, IDLE),
  ]);
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  const supply = ranked.filter(({ decision }) => /reference|rail/.test(decision.id));
  expect(ranked[0]!.decision.id).toBe('nothing');
  expect(supply.length).toBeGreaterThan(2);
  expect(supply.reduce((sum, { share }) => sum + share, 0)).toBeLessThan(0.1);
});
