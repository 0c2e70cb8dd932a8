import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import { exampleCase } from '../checks/exampleCase.ts';
import type { CaseFile } from '../checks/index.ts';
import { byChance } from './gate/misfits.ts';
import { goodSupply, IDLE, KOEO, wire, WIRES } from './exampleWeighing.ts';
import { judge, missingProof, posterior, TOLERANCES, Weigher, weigherFor, weighJob } from './index.ts';

const pumped = (kpaAboveAmbient: number): MachineState => ({
  ...KOEO,
  stimulus: { kind: 'pump', kpaAboveAmbient },
});
/** 5 · (0.0078·P + 0.02) volts. */
const soundVolts = (kpaAbs: number): number => 5 * (0.0078 * kpaAbs + 0.02);
const onThePump = (volts: (sound: number) => number) =>
  [0, -15, -30, -45, -60].map((kpa) => wire('signal', 'plug', volts(soundVolts(100 + kpa)), pumped(kpa)));
const caseOf = (readings: readonly AnyEvidence[]): CaseFile =>
  exampleCase(readings as CaseFile['readings'][number][]);
const judged = (readings: readonly AnyEvidence[]) =>
  judge(weigherFor(caseOf([]), WIRES), caseOf(readings), WIRES);

test('a signal that stops at 2.95 V on the pump is the sensor, whatever curve that is', () => {
  const stopping = [...goodSupply(), ...onThePump((sound) => Math.max(2.95, sound))];
  expect(judged(stopping).ranked[0]!.decision.id).toBe('sensor');
  // Two more readings, and it is proven.
  const { ranked, verdict } = judged([
    ...stopping,
    wire('signal', 'plug', 4),
    wire('signal', 'unit', 2.95, pumped(-75)),
  ]);
  expect(ranked[0]!).toMatchObject({ decision: { id: 'sensor' } });
  expect(ranked[0]!.share).toBeGreaterThan(0.93);
  expect(verdict).toBe('decided');
});

test('one bad step among good ones is a slip, or of another pressure, before it is a sensor', () => {
  const steps = onThePump((sound) => sound);
  const slipped = steps.map((step, i) => (i === 2 ? { ...step, volts: step.volts + 1.2 } : step));
  const found = judged([...goodSupply(), ...slipped]);
  expect(found.ranked[0]!.decision.id).toBe('nothing');
  expect(found.ranked.find(({ decision }) => decision.id === 'sensor')!.share).toBeLessThan(0.15);
});

// No one fault holds the return up, the reference down with the plug off, and the signal at the battery’s voltage.
test('what no known cause explains is said to be so, and nothing is proven by it', () => {
  const readings = [
    wire('reference', 'unit', 3.1),
    wire('reference', 'connector', 4.4),
    wire('reference', 'plug', 1.2),
    wire('return', 'unit', 1.9),
    wire('return', 'plug', 0.01),
    wire('signal', 'unit', 0.4),
    wire('signal', 'plug', 4.9),
    wire('signal', 'plug', 2.2, IDLE),
  ];
  const { verdict, causes } = weighJob(caseOf(readings), WIRES);
  expect(verdict.decided).toBe(false);
  expect(verdict.sentence.code).toMatch(/^verdict\.none-explains/u);
  expect(missingProof(causes[0]!.cause, caseOf(readings), WIRES)).toBeDefined();
});

test('so many readings mistaken by chance alone, by the binomial', () => {
  expect(byChance(0, 7)).toBe(1);
  expect(byChance(1, 1)).toBeCloseTo(0.03, 12);
  expect(byChance(2, 2)).toBeCloseTo(0.03 ** 2, 12);
  expect(byChance(2, 3)).toBeCloseTo(3 * 0.03 ** 2 * 0.97 + 0.03 ** 3, 12);
});

/** The joint of one sensor of any curve, written out: in each state any of its sizes, in every combination. */
test('an unlisted sensor weighs as its sizes in every state, written out', () => {
  const weigher = new Weigher(caseOf([]), WIRES);
  const weighed = weigher.caseOf(
    caseOf([wire('signal', 'plug', 2.95), wire('signal', 'plug', 2.2, IDLE), wire('signal', 'unit', 2.96)]),
  );
  const { hypotheses, sized, weights, grids, readings, changing } = weighed;
  const drives = [...new Set(readings.map(({ drive }) => drive))];
  const likely = (s: number, t: number, drive: string): number => {
    const { weights: of } = grids.get(drive)!;
    return of.reduce(
      (sum, weight, node) =>
        sum +
        readings
          .filter((one) => one.drive === drive)
          .reduce(
            (product, { lists, listOf }) => product * lists[listOf[s]!]![t * of.length + node]!,
            weight,
          ),
      0,
    );
  };
  const byHypothesis = hypotheses.map(({ prior, unlisted }, h) => {
    let total = 0;
    TOLERANCES.forEach(({ weight }, t) => {
      if (unlisted === 'sensor') {
        for (const { members, often, weight: ofGroup } of changing) {
          if (sized[members[0]!]!.hypothesis !== h) continue;
          const ofDrives = drives.map((drive) =>
            members.reduce((sum, s, m) => sum + often[m]! * likely(s, t, drive), 0),
          );
          total += weight * ofGroup * ofDrives.reduce((product, one) => product * one, 1);
        }
      } else
        sized.forEach(({ hypothesis }, s) => {
          if (hypothesis !== h) return;
          total += weight * weights[s]! * drives.reduce((product, drive) => product * likely(s, t, drive), 1);
        });
    });
    return prior * total;
  });
  const all = byHypothesis.reduce((a, b) => a + b, 0);
  const { shares } = posterior(weighed);
  byHypothesis.forEach((one, h) => expect(Math.abs(shares[h]! - one / all)).toBeLessThan(1e-9));
});
