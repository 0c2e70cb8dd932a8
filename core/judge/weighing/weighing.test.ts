import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState, Place } from '../../machine/places/index.ts';
import { exampleCase } from '../checks/exampleCase.ts';
import type { CaseFile } from '../checks/index.ts';
import { posterior, ranked, TOLERANCES, Weigher, type WeighedCase } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const off: MachineState = { engine: 'koeo', plug: 'unplugged' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
let count = 0;
const wire = (lane: Lane, place: Place, volts: number, state = koeo): AnyEvidence => ({
  kind: 'wire',
  id: `r${++count}`,
  lane,
  place,
  volts,
  state,
});
const gauge = (pressureKpa: number): AnyEvidence => ({
  kind: 'gauge',
  id: `g${++count}`,
  tap: 'manifold',
  pressureKpa,
  basis: 'vacuum',
  state: idle,
});
const WIRES = ['reference', 'signal', 'return'] as const;
const supplied = [wire('reference', 'plug', 4.99), wire('return', 'plug', 0.004)];
/** The example sensor: 4.00 V at the ambient of 100 kPa, 1.33 V at 31 kPa. Its input is pulled up where that is said. */
const caseOf = (readings: readonly AnyEvidence[], over: Partial<CaseFile> = {}): CaseFile =>
  exampleCase(readings as CaseFile['readings'][number][], over);
const weigher = new Weigher(caseOf([]), WIRES);
const pulledUp = { profile: { ...caseOf([]).profile, bias: 'pull-up' as const } };
const pulledUpWeigher = new Weigher(caseOf([], pulledUp), WIRES);

/** Shares by class, and of the hypotheses whose id begins so. */
function weighed(readings: readonly AnyEvidence[], up = false) {
  const by = up ? pulledUpWeigher : weigher;
  const all = ranked(by.hypotheses, posterior(by.caseOf(caseOf(readings, up ? pulledUp : {}))));
  const shareOf = (wanted: (id: string, kind: string) => boolean) =>
    all
      .filter(({ hypothesis }) => wanted(hypothesis.id, hypothesis.class))
      .reduce((sum, { share }) => sum + share, 0);
  return {
    all,
    of: (...starts: string[]) => shareOf((id) => starts.some((start) => id.startsWith(start))),
    classOf: (wanted: string) => shareOf((_id, kind) => kind === wanted),
  };
}

test('before anything is read the shares are the priors, but for what the unit would never notice', () => {
  const { all } = weighed([]);
  expect(all.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  const byPrior = (id: string) => {
    const { hypothesis, share } = all.find((one) => one.hypothesis.id === id)!;
    return share / hypothesis.prior;
  };
  expect(byPrior('wire-open signal:first')).toBeCloseTo(byPrior('nothing'), 9);
  // No current flows in the signal wire: ohms in it make no complaint.
  expect(byPrior('wire-high-resistance signal:first')).toBeLessThan(0.5 * byPrior('nothing'));
});

// Hand-worked cases of the trade (common practice).
test('no reference at the plug but 5 V at the unit: the reference wire, in a part between them', () => {
  const found = weighed([
    wire('reference', 'plug', 0.02),
    wire('reference', 'unit', 4.99),
    wire('return', 'plug', 0.003),
    wire('signal', 'plug', 0.01),
  ]);
  expect(found.of('wire-open reference', 'two-wires-open reference')).toBeGreaterThan(0.95);
  expect(found.of('wire-open reference:plug', 'wire-open reference:unit')).toBeLessThan(0.02);
});

test('a signal near zero that goes to 5 V with the plug off is never the signal wire: the sensor, or its supply behind the probe', () => {
  const found = weighed([...supplied, wire('signal', 'plug', 0.02), wire('signal', 'plug', 4.9, off)], true);
  const behindTheProbe = found.of('wire-open reference:plug', 'wire-high-resistance reference:plug');
  // A slip of one of two readings is the rest.
  expect(found.classOf('sensor') + behindTheProbe).toBeGreaterThan(0.8);
  expect(found.of('wire-open signal', 'wire-to-ground signal')).toBeLessThan(0.02);
});

test('a return that stands high at the plug and not at the unit: resistance in it, whichever half', () => {
  const found = weighed([
    wire('reference', 'plug', 4.99),
    wire('return', 'plug', 0.31),
    wire('return', 'unit', 0.004),
    wire('signal', 'plug', 4.05),
  ]);
  expect(found.of('wire-high-resistance return:first', 'wire-high-resistance return:second')).toBeGreaterThan(
    0.9,
  );
});

test('gauge and sensor agree on low vacuum: the engine, not the sensor', () => {
  // 55 kPa absolute at idle: 45 kPa of vacuum on the gauge, 2.25 V on the wire.
  const found = weighed([
    ...supplied,
    wire('signal', 'plug', 4),
    wire('signal', 'plug', 2.25, idle),
    gauge(45),
  ]);
  expect(found.of('low-vacuum')).toBeGreaterThan(0.6);
  expect(found.classOf('sensor')).toBeLessThan(0.05);
  const alone = weighed([...supplied, wire('signal', 'plug', 4), wire('signal', 'plug', 2.25, idle)]);
  expect(alone.of('low-vacuum')).toBeLessThan(found.of('low-vacuum'));
});

test('off by the same voltage with the engine stopped and idling: the sensor reads shifted', () => {
  const found = weighed([...supplied, wire('signal', 'plug', 4.5), wire('signal', 'plug', 1.85, idle)]);
  expect(found.of('sensor-shifted up')).toBeGreaterThan(0.75);
  // A variant that begins higher is as steep: only its number tells it from a part that has drifted.
  expect(found.classOf('wrong-part')).toBeLessThan(0.25);
  expect(found.classOf('sensor') + found.classOf('wrong-part')).toBeGreaterThan(0.94);
});

test('what two causes explain alike stays shared between them, and the reading that tells them apart decides', () => {
  const before = weighed([wire('signal', 'plug', 0.02), wire('reference', 'plug', 0.02)]);
  expect(before.of('wire-open reference')).toBeGreaterThan(0.05);
  expect(
    before.of('unit-gives-no-reference', 'wire-to-ground reference', 'rail-pulled-down'),
  ).toBeGreaterThan(0.05);
  const after = weighed([
    wire('signal', 'plug', 0.02),
    wire('reference', 'plug', 0.02),
    wire('reference', 'unit', 0.02),
  ]);
  expect(after.of('wire-open reference')).toBeLessThan(0.02);
});

test('one slipped probe among readings of a sound circuit does not decide', () => {
  const slipped = wire('return', 'plug', 4);
  const { all } = weighed([
    slipped,
    wire('reference', 'plug', 4.99),
    wire('signal', 'plug', 4),
    wire('signal', 'unit', 4),
    wire('signal', 'plug', 1.35, idle),
  ]);
  expect(all[0]!.hypothesis.id).toBe('nothing');
});

test('impossible readings are no crash, and no certainty', () => {
  const ohms = {
    kind: 'ohms',
    from: { lane: 'return', place: 'unit' },
    to: { lane: 'return', place: 'plug' },
  } as const;
  const found = weighed([
    wire('reference', 'plug', 60),
    wire('signal', 'plug', -40),
    { ...ohms, id: 'o1', ohms: -3, state: { engine: 'key-off', plug: 'connected' } },
    { ...ohms, id: 'o2', ohms: 2, state: koeo },
  ]);
  expect(found.all.every(({ share }) => Number.isFinite(share))).toBe(true);
  expect(found.all[0]!.share).toBeLessThan(0.5);
});

/** The joint of everything, written out: every size, tolerance and quantity of every drive at once. */
function bruteForce({ hypotheses, sized, weights: ofSized, grids, readings }: WeighedCase): number[] {
  const drives = [...new Set(readings.map(({ drive }) => drive))];
  const weights = hypotheses.map(({ prior }, h) => {
    let total = 0;
    for (let s = 0; s < sized.length; s++) {
      if (sized[s]!.hypothesis !== h) continue;
      for (let tolerance = 0; tolerance < TOLERANCES.length; tolerance++) {
        const along = (drive: number, nodes: readonly number[]): number => {
          if (drive < drives.length) {
            const { weights: of } = grids.get(drives[drive]!)!;
            let sum = 0;
            for (let node = 0; node < of.length; node++)
              sum += of[node]! * along(drive + 1, [...nodes, node]);
            return sum;
          }
          return readings.reduce((product, { lists, listOf, drive }) => {
            const nodesOf = grids.get(drive)!.weights.length;
            return product * lists[listOf[s]!]![tolerance * nodesOf + nodes[drives.indexOf(drive)]!]!;
          }, 1);
        };
        total += TOLERANCES[tolerance]!.weight * ofSized[s]! * along(0, []);
      }
    }
    return prior * total;
  });
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((weight) => weight / sum);
}

test('the same shares, to a millionth, as every combination written out, on fifty small cases', () => {
  let state = 7;
  const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
  for (let i = 0; i < 50; i++) {
    const readings = Array.from({ length: 1 + Math.floor(3 * random()) }, (_, k) =>
      wire(
        WIRES[Math.floor(3 * random())]!,
        (['unit', 'connector', 'plug'] as const)[Math.floor(3 * random())]!,
        5.2 * random() - 0.1,
        // A second drive squares the work of writing it out: in few of them.
        k === 1 && i % 10 === 0 ? idle : random() < 0.3 ? off : koeo,
      ),
    );
    const whole = weigher.caseOf(caseOf(readings));
    // A few of the hypotheses: each is worked out by itself.
    const hypotheses = whole.hypotheses.slice(0, 4 + (i % 4));
    const sized = whole.sized.filter(({ hypothesis }) => hypothesis < hypotheses.length);
    const few = { ...whole, hypotheses, sized, changing: [] };
    const expected = bruteForce(few);
    const { shares } = posterior(few);
    hypotheses.forEach((_, h) => expect(Math.abs(shares[h]! - expected[h]!)).toBeLessThan(1e-6));
  }
});
