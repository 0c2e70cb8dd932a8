import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { goodSupply, IDLE, KOEO, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { judge, standingOf, weigherFor } from '../index.ts';
import { doubtedReadings, misfitsOf } from './misfits.ts';
import { nextReading } from '../explanation/nextReading.ts';

type Readings = CaseFile['readings'][number][];
const caseOf = (readings: readonly unknown[]): CaseFile => exampleCase(readings as Readings);
const standing = (caseFile: CaseFile) =>
  standingOf(weigherFor(caseFile, WIRES).caseOf(caseFile), caseFile, WIRES);
const doubted = (caseFile: CaseFile) => {
  const { weighed, posterior } = standing(caseFile);
  return doubtedReadings(weighed, posterior, caseFile).map(({ id }) => id);
};

/** A sound machine: 4 V at 100 kPa, 1.66 V idling at 40 kPa. */
const sound = () => [
  ...goodSupply(),
  wire('signal', 'plug', 4),
  wire('signal', 'unit', 4),
  wire('signal', 'plug', 1.66, IDLE),
  wire('reference', 'plug', 4.99, PLUG_OFF),
];

test('a reading that stands alone against all others is worth taking again, with a sentence that says so', () => {
  const slipped = wire('signal', 'connector', 0.01);
  const caseFile = caseOf([...sound(), slipped]);
  expect(doubted(caseFile)).toEqual([slipped.id]);
  const { suggestions, decisions } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  const again = suggestions.filter((one) => one.again);
  expect(again.map(({ candidate }) => candidate)).toEqual([
    { target: { kind: 'wire', lane: 'signal', place: 'connector' }, state: KOEO },
  ]);
  expect(nextReading(again[0]!, decisions, caseFile).why).toEqual({ code: 'weighing.perhaps-not-as-noted' });
});

test('read a second time it is no longer alone, and nothing that goes with the others is doubted', () => {
  expect(doubted(caseOf(sound()))).toEqual([]);
  const twice = [wire('signal', 'connector', 0.01), wire('signal', 'connector', 0.012)];
  const caseFile = caseOf([...sound(), ...twice]);
  const again = doubted(caseFile);
  for (const { id } of twice) expect(again).not.toContain(id);
  const places = judge(weigherFor(caseFile, WIRES), caseFile, WIRES)
    .suggestions.filter((one) => one.again)
    .map(({ candidate: { target } }) => (target.kind === 'wire' ? target.place : target.kind));
  expect(places).not.toContain('connector');
});

test('one slip is chance, two of seven readings are not; whoever stays on the wrong pin slipped once', () => {
  const misfits = (readings: readonly unknown[]) => {
    const caseFile = caseOf(readings);
    const { weighed, posterior, decisions } = standing(caseFile);
    const nothing = decisions.all.find(({ id }) => id === 'nothing')!;
    return misfitsOf(nothing, weighed, posterior, caseFile).length;
  };
  const one = wire('signal', 'connector', 0.01);
  expect(misfits([...sound(), one])).toBe(0);
  expect(misfits([...sound(), one, wire('signal', 'connector', 0.01)])).toBe(0);
  // Of seven readings two: 1.7 cases in a hundred. Of eight it would be 2.2.
  expect(misfits([...sound().slice(0, 5), one, wire('return', 'unit', 3)])).toBe(2);
  expect(misfits([...sound(), one, wire('return', 'unit', 3)])).toBe(0);
});
