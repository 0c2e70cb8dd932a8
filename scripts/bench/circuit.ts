import { Network, clamp, limitedSupply, type ResistorId } from '@lettura/core/machine/circuit';
import { SOLVES, bareEliminations, spiceMicrosecondsAPoint } from './bareEliminations.ts';

export interface CircuitRatios {
  microseconds: number;
  /** Against an elimination written out for a dense matrix of the same size, with the copying of its rows. */
  againstBare: number;
  /** Against ngspice's time a point within one sweep of 10,000 on straight parts; undefined where it is not installed. */
  againstSpice: number | undefined;
}
const ROUNDS = 5;

/** One solution of a whole three-wire network after one part has changed. */
export function circuitRatios(): CircuitRatios {
  const { network, segments } = threeWires();
  const probe = 8;
  let sum = 0;
  const own = best(() => {
    for (let i = 0; i < SOLVES; i++) {
      const changed = segments[i % segments.length]!;
      network.setOhms(changed, 0.1 + (i % 100));
      if (network.solve() !== 'solved') throw new Error('no solution');
      sum += network.volts(probe);
      network.setOhms(changed, 0.08);
    }
  });
  const bare = best(() => {
    sum += bareEliminations(UNKNOWNS);
  });
  if (Number.isNaN(sum)) throw new Error('nothing was solved');
  const spice = spiceMicrosecondsAPoint(network);
  const microseconds = (1000 * own) / SOLVES;
  return {
    microseconds,
    againstBare: own / bare,
    againstSpice: spice === undefined ? undefined : microseconds / spice,
  };
}

const UNKNOWNS = 13;

/** Rail, signal and return with four nodes each, a unit ground, an active sensor, two clamps, a meter. */
function threeWires(): { network: Network; segments: ResistorId[] } {
  const network = new Network(14);
  const [ground, rail, signal, back] = [1, 2, 6, 10];
  network.addConductor(rail, ground, limitedSupply(5, 0.3, 0.15));
  network.addResistor(ground, 0, 0.01);
  network.addResistor(back, ground, 0.02);
  network.addResistor(signal, ground, 470_000);
  network.addConductor(signal, rail, clamp(0.5, 10_000));
  network.addConductor(ground, signal, clamp(0.5, 10_000));
  const segments = [rail, signal, back].flatMap((first) =>
    [0, 1, 2].map((step) => network.addResistor(first + step, first + step + 1, 0.08)),
  );
  network.addResistor(rail + 3, back + 3, 714);
  network.addStage({
    output: signal + 3,
    supply: rail + 3,
    common: back + 3,
    share: 0.5,
    offsetVolts: 0,
    lowestShare: 0.02,
    highestShare: 0.98,
    outputOhms: 100,
  });
  network.addResistor(8, 0, 10e6);
  return { network, segments };
}

function best(work: () => void): number {
  let shortest = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now();
    work();
    shortest = Math.min(shortest, performance.now() - start);
  }
  return shortest;
}
