import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { IDLE, KOEO, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { judge, weigherFor } from '../index.ts';

type Readings = CaseFile['readings'][number][];
const sharesOf = (readings: readonly unknown[]) => {
  const caseFile = exampleCase(readings as Readings);
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  return {
    leader: ranked[0]!.decision.id,
    of: (id: string) => ranked.find((one) => one.decision.id === id)?.share ?? 0,
  };
};

/** 4 V at 100 kPa, 1.66 V idling at 40 kPa, every wire of the unit higher by the same. */
const sound = (lifted: number) => [
  wire('signal', 'plug', 4 + lifted),
  wire('signal', 'plug', 1.66 + lifted, IDLE),
  wire('return', 'plug', 0.002 + lifted),
  wire('return', 'plug', lifted, PLUG_OFF),
  wire('signal', 'plug', lifted - 0.001, PLUG_OFF),
];

test.each([-0.06, -0.045, -0.02, 0.02, 0.03, 0.043, 0.05, 0.06])(
  'what is off by %s V on everything, by a unit or by a meter, accuses nobody',
  (off) => {
    const { leader, of } = sharesOf(sound(off));
    expect(leader).toBe('nothing');
    expect(of('nothing')).toBeGreaterThan(0.75 * sharesOf(sound(0)).of('nothing'));
    expect(of('sensor')).toBeLessThan(0.1);
  },
);

test('a fault is as likely on a unit that stands higher as on one that does not', () => {
  const openReference = (off: number) =>
    sharesOf([
      wire('reference', 'plug', 0.02 + off),
      wire('reference', 'unit', 4.99 + off),
      wire('signal', 'plug', 0.01 + off),
      wire('return', 'plug', 0.004 + off),
    ]);
  const level = openReference(0);
  expect(level.leader).toMatch(/^wire reference/u);
  for (const off of [0.022, 0.045, -0.045]) {
    expect(openReference(off).leader).toMatch(/^wire reference/u);
    expect(openReference(off).of(level.leader)).toBeGreaterThan(0.75 * level.of(level.leader));
  }
});

test('what no return may show is a fault still', () => {
  const { leader, of } = sharesOf(sound(0.4));
  expect(leader).not.toBe('nothing');
  expect(of('nothing')).toBeLessThan(0.05);
});

test('a return that is lifted alone, under its load and not without, is its own resistance', () => {
  const readings = [
    wire('signal', 'plug', 4.12),
    wire('return', 'plug', 0.15),
    wire('return', 'unit', 0.002, KOEO),
    wire('return', 'plug', 0.001, PLUG_OFF),
  ];
  expect(sharesOf(readings).of('nothing')).toBeLessThan(0.2);
});
