import { expect, test } from 'vitest';
import { clamp, limitedSupply, Network, source } from './index.ts';
import { exactOperatingPoints } from './exactOperatingPoints.ts';

/** Edges are met to this; so near to one, two neighbouring pieces give the same voltages. */
const EDGE_VOLTS = 1e-9;
const NEAR_VOLTS = 1e-7;
const RUNS = 1500;

function randomOf(seed: number) {
  let state = seed;
  const next = () => (state = (state * 48271) % 2147483647) / 2147483647;
  return {
    next,
    below: (n: number) => Math.floor(next() * n),
    pick: <T>(list: readonly T[]) => list[Math.floor(next() * list.length)]!,
  };
}

type Sort = 'leaks-only' | 'self-feeding' | 'mixed';

/** Three or four points, all that hang together or not: leaks of megohms at a diode's edge, stages that feed themselves. */
function networkOf(sort: Sort, { next, below, pick }: ReturnType<typeof randomOf>): Network {
  const nodes = 3 + below(2);
  const network = new Network(nodes);
  const ohms = () => 10 ** (sort === 'leaks-only' ? 6 + next() * 5.9 : next() * 8 - 1);
  const two = (): [number, number] => {
    const a = below(nodes);
    return [a, (a + 1 + below(nodes - 1)) % nodes];
  };
  for (let node = 1; node < nodes; node++) network.addResistor(node, below(node), ohms());
  for (let more = below(3); more > 0; more--) network.addResistor(...two(), ohms());
  const fed = 1 + below(nodes - 1);
  if (sort === 'leaks-only')
    network.addConductor(fed, 0, source(pick([0.3, 0.5, 0.5 + 1e-8, 1]), 10 ** (5 + next() * 5)));
  else network.addConductor(fed, 0, limitedSupply(pick([0.5, 0.5 + 1e-8, 1, 5]), 0.5, 0.02));
  for (let diodes = below(3); diodes > 0; diodes--) network.addConductor(...two(), clamp(0.5, 10));
  if (sort === 'leaks-only') return network;
  const output = below(nodes);
  // Its own output is its supply, or its common, or neither.
  const [supply, common] =
    sort === 'self-feeding'
      ? pick([
          [output, below(nodes)],
          [below(nodes), output],
        ])
      : two();
  network.addStage({
    output,
    supply: supply,
    common: common,
    share: pick([0, 0.5, 0.9, 1, 1.2]),
    offsetVolts: pick([0, 0.1, 1]),
    lowestShare: 0.03,
    highestShare: 0.97,
    outputOhms: 100,
  });
  return network;
}

test('the second solver finds what is known by hand, all of it, and nothing where there is nothing', () => {
  const divided = new Network(3);
  divided.addConductor(1, 0, source(5, 1));
  divided.addResistor(1, 2, 999);
  divided.addResistor(2, 0, 3000);
  const [only, ...others] = exactOperatingPoints(divided.parts(), 0);
  expect(others).toEqual([]);
  expect(only!.volts[2]).toBeCloseTo(3.75, 12);
  const afloat = new Network(3);
  afloat.addResistor(0, 1, 1000);
  expect(exactOperatingPoints(afloat.parts(), 0)).toEqual([]);
});

test('two stages, one on the output side of the other, have the operating point that exact arithmetic finds', () => {
  const network = new Network(5);
  network.addResistor(0, 3, 1);
  network.addResistor(1, 3, 1);
  network.addConductor(1, 0, limitedSupply(3.3, 0.5, 0.02));
  network.addConductor(0, 4, clamp(0.5, 10));
  const stage = { share: 0, offsetVolts: 0.1, lowestShare: 0.03, highestShare: 0.97, outputOhms: 100 };
  network.addStage({ output: 4, supply: 2, common: 1, ...stage });
  // Its output is battery negative itself: it lifts its own common.
  network.addStage({ output: 0, supply: 3, common: 2, ...stage });
  expect(network.solve()).toBe('solved');
  const [point, ...others] = exactOperatingPoints(network.parts(), 0);
  expect(others).toEqual([]);
  point!.volts.forEach((volts, node) => expect(network.volts(node)).toBeCloseTo(volts, 9));
});

test.each<[Sort, number]>([
  ['leaks-only', 11],
  ['self-feeding', 12],
  ['mixed', 13],
])('what is solved with %s is an operating point without rounding, and none is missed', (sort, seed) => {
  const random = randomOf(seed);
  let withDiodeAtItsEdge = 0;
  for (let run = 0; run < RUNS / 3; run++) {
    const network = networkOf(sort, random);
    const outcome = network.solve();
    const parts = network.parts();
    const exact = exactOperatingPoints(parts, EDGE_VOLTS);
    expect(outcome === 'solved', `run ${run}: ${outcome}, ${JSON.stringify(parts)}`).toBe(exact.length > 0);
    if (outcome !== 'solved') continue;
    const volts = Array.from({ length: parts.nodeCount }, (_, node) => network.volts(node));
    const near = exact.some((point) =>
      point.volts.every(
        (one, node) => Math.abs(one - volts[node]!) <= NEAR_VOLTS * Math.max(1, Math.abs(one)),
      ),
    );
    expect(near, `run ${run}: ${volts.join()} is none of ${JSON.stringify(exact)}`).toBe(true);
    if (exact.length > 1) withDiodeAtItsEdge++;
  }
  // Else the edges that this test is about were never met.
  if (sort !== 'leaks-only') expect(withDiodeAtItsEdge).toBeGreaterThan(0);
});
