import fc from 'fast-check';
import { expect, test } from 'vitest';
import { clamp, limitedSupply, Network, source } from './index.ts';

/** A network of `nodes` nodes with a stiff 5 V supply at node 1. */
function fedFrom5Volts(nodes: number): Network {
  const network = new Network(nodes);
  network.addConductor(1, 0, source(5, 1e-3));
  return network;
}

test('a divider of 1 kΩ over 3 kΩ on 5 V gives 3.75 V', () => {
  const network = fedFrom5Volts(3);
  network.addResistor(1, 2, 1000);
  const lower = network.addResistor(2, 0, 3000);
  expect(network.solve()).toBe('solved');
  expect(network.volts(2)).toBeCloseTo(3.75, 5); // the supply's own milliohm
  expect(network.ampsThrough(lower)).toBeCloseTo(1.25e-3, 8);
  network.setOhms(lower, 1000);
  network.solve();
  expect(network.volts(2)).toBeCloseTo(2.5, 5);
});

test('a 10 MΩ meter on 10 MΩ of leakage halves what is there: the ghost voltage', () => {
  const network = fedFrom5Volts(3);
  network.addResistor(1, 2, 10e6);
  const meter = network.addResistor(2, 0, Infinity);
  network.solve();
  expect(network.volts(2)).toBeCloseTo(5, 6);
  network.setOhms(meter, 10e6);
  network.solve();
  expect(network.volts(2)).toBeCloseTo(2.5, 6);
});

test('a short makes one point of two, and opening it again undoes that', () => {
  const network = fedFrom5Volts(4);
  network.addResistor(1, 2, 100);
  const wire = network.addResistor(2, 3, 0);
  network.addResistor(3, 0, 100);
  network.solve();
  expect(network.volts(3)).toBeCloseTo(2.5, 4);
  expect(network.voltsBetween(2, 3)).toBe(0);
  network.setOhms(wire, Infinity);
  network.solve();
  expect([network.volts(2), network.volts(3)]).toEqual([expect.closeTo(5, 6), 0]);
});

test('a short straight across the supply leaves nothing, and a short ring is no riddle', () => {
  const network = fedFrom5Volts(3);
  network.addResistor(1, 2, 0);
  network.addResistor(2, 0, 0);
  network.addResistor(1, 0, 0);
  expect(network.solve()).toBe('solved');
  expect([network.volts(1), network.volts(2)]).toEqual([0, 0]);
});

test('what nothing ties to battery has no voltage against it, but has voltages within', () => {
  const network = fedFrom5Volts(5);
  network.addConductor(3, 2, source(1.5, 10));
  network.addResistor(3, 2, 20);
  expect(network.solve()).toBe('solved');
  expect(network.volts(1)).toBeCloseTo(5, 9);
  expect([network.volts(2), network.volts(3), network.volts(4)]).toEqual([NaN, NaN, NaN]);
  expect(network.voltsBetween(3, 2)).toBeCloseTo(1, 9);
  expect(network.voltsBetween(4, 2)).toBeNaN();
});

test('a regulator holds its voltage up to its limit, then its current', () => {
  const network = new Network(2);
  const regulator = network.addConductor(1, 0, limitedSupply(5, 0.5, 0.1));
  const load = network.addResistor(1, 0, 1000);
  network.solve();
  expect(network.volts(1)).toBeCloseTo((5 * 1000) / 1000.5, 9);
  network.setOhms(load, 10);
  network.solve();
  expect(network.volts(1)).toBeCloseTo(1, 4); // 100 mA through 10 Ω
  expect(network.ampsInto(regulator)).toBeCloseTo(-0.1, 5);
  network.setOhms(load, 0);
  network.solve();
  expect(network.volts(1)).toBe(0);
  expect(network.ampsInto(regulator)).toBeCloseTo(-0.1, 5);
});

test('a regulator pulled above its voltage does not push back', () => {
  const network = new Network(3);
  const regulator = network.addConductor(1, 0, limitedSupply(5, 0.5, 0.1));
  network.addConductor(2, 0, source(12.6, 0.02));
  network.addResistor(2, 1, 10);
  network.addResistor(1, 0, 1000);
  network.solve();
  expect(network.volts(1)).toBeCloseTo((12.6 * 1000) / 1010.02, 5);
  expect(Math.abs(network.ampsInto(regulator))).toBeLessThan(1e-8);
});

test('a clamped input stays near its rail, behind its own resistance', () => {
  const network = fedFrom5Volts(4);
  network.addConductor(2, 0, source(12, 1));
  network.addResistor(2, 3, 999);
  network.addConductor(3, 1, clamp(0.5, 1));
  network.solve();
  // 12 V through 1 kΩ against 5.5 V behind 1 Ω.
  expect(network.volts(3)).toBeCloseTo(5.5 + 6.5 / 1001, 4);
});

function withStage(share: number, offsetVolts = 0, supplyOhms = 1e-3) {
  const network = new Network(4);
  network.addConductor(1, 0, source(5, supplyOhms));
  const bottom = network.addResistor(3, 0, 0);
  const stage = network.addStage({
    output: 2,
    supply: 1,
    common: 3,
    share,
    offsetVolts,
    lowestShare: 0.03,
    highestShare: 0.97,
    outputOhms: 100,
  });
  const load = network.addResistor(2, 0, Infinity);
  return { network, bottom, stage, load };
}

test('a stage at half its supply drives 2.5 V through its output resistance into a load', () => {
  const { network, load } = withStage(0.5);
  network.setOhms(load, 900);
  network.solve();
  expect(network.volts(2)).toBeCloseTo(2.25, 4);
});

test.each([
  [1.2, 0, 4.85],
  [0, 0, 0.15],
  [0, 4.9, 4.85],
  [0.5, 1, 3.5],
])(
  'a stage asked for %d of its supply and %d V more gives %d V of 5 V: its rails',
  (share, offset, volts) => {
    const { network } = withStage(share, offset);
    network.solve();
    expect(network.volts(2)).toBeCloseTo(volts, 4);
  },
);

test('what a shorted output gives comes out of the supply', () => {
  const { network, load } = withStage(0.5, 0, 10);
  network.setOhms(load, 0);
  network.solve();
  // i = Vs/2 / 100 Ω with Vs = 5 − 10 Ω · i: Vs = 5 / 1.05.
  expect(network.volts(1)).toBeCloseTo(5 / 1.05, 6);
});

test('a stage without a supply holds its output at its common, also with a current into it', () => {
  const network = new Network(4);
  network.addConductor(3, 0, source(5, 1e-3));
  network.addResistor(3, 1, 900);
  network.addResistor(2, 0, 1e6);
  network.addStage({
    output: 1,
    supply: 2,
    common: 0,
    share: 0.5,
    offsetVolts: 0.4,
    lowestShare: 0.03,
    highestShare: 0.97,
    outputOhms: 100,
  });
  expect(network.solve()).toBe('solved');
  expect(network.volts(1)).toBeCloseTo(0.5, 4);
});

test('a lost return lets the common of a stage float up, and its output with it: the signal sits high', () => {
  const { network, bottom } = withStage(0.5);
  network.addResistor(1, 3, 700); // what the sensor draws
  network.addResistor(2, 0, 470_000); // a pulled-down input
  network.setOhms(bottom, Infinity);
  network.solve();
  expect(network.volts(2)).toBeGreaterThan(4.9);
});

test('a stage that carries its own supply alone is told as undetermined or solved, never garbage', () => {
  const network = new Network(3);
  network.addStage({
    output: 1,
    supply: 1,
    common: 0,
    share: 1,
    offsetVolts: 0,
    lowestShare: 0,
    highestShare: 1,
    outputOhms: 100,
  });
  expect(network.solve()).toBe('solved'); // the leak of its supply pin alone decides: nothing is there
  expect(network.volts(1)).toBe(0);
});

test('impossible parts are refused where they are made', () => {
  const network = new Network(2);
  expect(() => network.addResistor(0, 1, -1)).toThrow(/-1 Ω/u);
  expect(() => network.addResistor(0, 1, NaN)).toThrow();
  expect(() =>
    network.addConductor(0, 1, { breaksVolts: [1], slopesSiemens: [1, 0], interceptsAmps: [0, 0] }),
  ).toThrow(/rises/u);
  expect(() =>
    network.addConductor(0, 1, { breaksVolts: [], slopesSiemens: [1, 2], interceptsAmps: [0, 0] }),
  ).toThrow(/break/u);
});

/** From opens to shorts, with everything between that a harness can have. */
const anyOhms = fc.oneof(
  { weight: 1, arbitrary: fc.constantFrom(0, Infinity, 1e-6, 1e12) },
  { weight: 4, arbitrary: fc.double({ min: -3, max: 7, noNaN: true }).map((decades) => 10 ** decades) },
);
const anyNode = fc.nat({ max: 7 });
const anyNetwork = fc.record({
  resistors: fc.array(fc.tuple(anyNode, anyNode, anyOhms), { minLength: 4, maxLength: 16 }),
  supplies: fc.array(fc.tuple(anyNode, fc.constantFrom(3.3, 5, 12.6), fc.constantFrom(0.02, 0.1, 20)), {
    minLength: 1,
    maxLength: 3,
  }),
  clamps: fc.array(fc.tuple(anyNode, anyNode), { maxLength: 4 }),
  stages: fc.array(fc.tuple(anyNode, anyNode, anyNode, fc.double({ min: 0, max: 1, noNaN: true })), {
    maxLength: 2,
  }),
});

function build({
  resistors,
  supplies,
  clamps,
  stages,
}: typeof anyNetwork extends fc.Arbitrary<infer T> ? T : never) {
  const network = new Network(8);
  const ids = resistors.map(([a, b, ohms]) => network.addResistor(a, b, ohms));
  const conductors = [
    ...supplies.map(([node, volts, limit]) =>
      network.addConductor(node, 0, limitedSupply(volts, 0.5, limit)),
    ),
    ...clamps.map(([a, b]) => network.addConductor(a, b, clamp(0.5, 10))),
  ];
  for (const [output, supply, common, share] of stages)
    network.addStage({
      output,
      supply,
      common,
      share,
      offsetVolts: 0.1,
      lowestShare: 0.03,
      highestShare: 0.97,
      outputOhms: 100,
    });
  return { network, ids, conductors };
}

test('any network of supplies, clamps, stages, shorts and opens has an operating point, with finite voltages', () => {
  fc.assert(
    fc.property(anyNetwork, (parts) => {
      const { network } = build(parts);
      expect(network.solve()).toBe('solved');
      for (let node = 0; node < 8; node++) {
        const volts = network.volts(node);
        // A stage may lift its output above its supply only as far as its offset; a floating node has no voltage.
        expect(Number.isNaN(volts) || Math.abs(volts) < 40).toBe(true);
      }
    }),
    { numRuns: 2000 },
  );
});

test('where the search starts does not matter', () => {
  fc.assert(
    fc.property(anyNetwork, anyOhms, (parts, ohms) => {
      const { network, ids } = build({ ...parts, stages: [] });
      const [first] = ids;
      network.solve();
      const before = Array.from({ length: 8 }, (_, node) => network.volts(node));
      network.setOhms(first!, ohms);
      network.solve();
      network.setOhms(first!, parts.resistors[0]![2]);
      network.solve();
      before.forEach((volts, node) =>
        expect(Number.isNaN(volts) ? NaN : network.volts(node)).toEqual(
          Number.isNaN(volts) ? NaN : expect.closeTo(volts, 6),
        ),
      );
    }),
    { numRuns: 1000 },
  );
});

test('currents at every node sum to zero', () => {
  fc.assert(
    fc.property(anyNetwork, (parts) => {
      const { network, ids, conductors } = build({
        ...parts,
        stages: [],
        resistors: parts.resistors.map(
          ([a, b, ohms]) => [a, b, Math.min(1e12, Math.max(1e-3, ohms))] as const,
        ),
      });
      network.solve();
      const sums = new Array<number>(8).fill(0);
      const largest = new Array<number>(8).fill(1e-9);
      const flow = (a: number, b: number, amps: number) => {
        sums[a]! += amps;
        sums[b]! -= amps;
        for (const node of [a, b]) largest[node] = Math.max(largest[node]!, Math.abs(amps));
      };
      parts.resistors.forEach(([a, b], i) => flow(a, b, network.ampsThrough(ids[i]!)));
      [...parts.supplies.map(([node]) => [node, 0] as const), ...parts.clamps].forEach(([a, b], i) =>
        flow(a, b, network.ampsInto(conductors[i]!)),
      );
      sums.forEach((sum, node) => {
        // A milliohm turns the rounding of a voltage, 1e-15 of 12 V, into picoamperes.
        if (node !== 0) expect(Math.abs(sum)).toBeLessThan(1e-9 * largest[node]! + 1e-9);
      });
    }),
    { numRuns: 1000 },
  );
});
