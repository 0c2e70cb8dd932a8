import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { goodSupply, IDLE, looked, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { posterior, Weigher } from '../index.ts';
import { sharesWithout } from './sharesWithout.ts';

const readings = [
  ...goodSupply(),
  wire('signal', 'plug', 4.6),
  wire('signal', 'plug', 1.95, IDLE),
  wire('reference', 'plug', 4.98, PLUG_OFF),
  wire('signal', 'unit', 0.4),
];
const over: Partial<CaseFile> = {
  codes: ['P0108'],
  observations: [looked('code-high', false), looked('hose', true)],
};
const caseOf = (count: number): CaseFile => exampleCase(readings.slice(0, count), over);
const weigher = new Weigher(caseOf(0), WIRES);

test('added one by one they come to the same as all at once, and so they do once one is taken back', () => {
  for (const count of [1, 2, 3, 4, 5, 6, 4, 6, 0, 5]) {
    const weighed = weigher.caseOf(caseOf(count));
    const { shares } = posterior(weighed);
    const { shares: anew } = posterior({ ...weighed, kept: undefined });
    shares.forEach((share, h) => expect(share).toBeCloseTo(anew[h]!, 12));
  }
});

test('one reading divided out leaves what the others say by themselves', () => {
  const weighed = weigher.caseOf(caseOf(6));
  const known = posterior(weighed);
  expect(weighed.readings.length).toBe(9);
  for (const reading of weighed.readings) {
    const without = sharesWithout(reading, known, weighed);
    const others = weighed.readings.filter((one) => one !== reading);
    const { shares } = posterior({ ...weighed, readings: others, kept: undefined });
    without.forEach((share, h) => expect(Math.abs(share - shares[h]!)).toBeLessThan(1e-9));
  }
});

test('another context, another beginning: what was kept is of the same sensor in the same air', () => {
  const before = posterior(weigher.caseOf(caseOf(3))).shares;
  const high = {
    ...caseOf(3),
    ambient: { pressureKpaAbs: 84, expandedUncertaintyKpa: 1, source: 'altitude' },
  } as const;
  const elsewhere = posterior(weigher.caseOf(high)).shares;
  expect(Math.max(...elsewhere.map((share, h) => Math.abs(share - before[h]!)))).toBeGreaterThan(1e-4);
  const back = posterior(weigher.caseOf(caseOf(3))).shares;
  back.forEach((share, h) => expect(share).toBeCloseTo(before[h]!, 12));
});
