import type { Lane } from '@lettura/core/machine/places';
import type { Draw } from './draw.ts';

/** What makers do each in their own way, and nobody has written down. */
export interface Maker {
  battery: { stopped: number; running: number };
  unitGroundOhms: number;
  unitAmps: number;
  wireOhms: number;
  contactOhms: number;
  supplies: readonly {
    volts: number;
    ohms: number;
    limitAmps: number;
    foldsTo: number;
    /** Other sensors on it: where they leave it, and what they draw. */
    neighbours: readonly { splicedInLoom: boolean; ohms: number }[];
  }[];
  /** Of an input: towards its supply, towards ground; Infinity where there is none. */
  pulls: Readonly<Partial<Record<Lane, { up: number; down: number }>>>;
  converter: { offsetVolts: number; gain: number };
  chip: {
    amps: number;
    kneeVolts: number;
    fromBottomVolts: number;
    fromTopVolts: number;
    ohms: number;
    mostAmps: number;
    startsAtVolts: number;
  };
  heated: { amps: number; topVolts: number };
  track: { ohms: number; endShare: number; wiperOhms: number };
  /** −1 to 1: where this sensor stands within its tolerance, up to the very end of it. */
  withinTolerance: number;
  /** Beyond this and that the unit gives up and shows something else. */
  givesUp: { low: number; high: number; shows: number };
  supplyComplaint: readonly [number, number];
  pairComplaintPercent: number;
}

const LEAST_TIMES_THE_TRACK = 15;

export function makerOf(draw: Draw, wires: readonly Lane[], range: readonly [number, number]): Maker {
  const track = {
    ohms: draw.decades(1000, 9000),
    endShare: draw.between(0.001, 0.01),
    wiperOhms: draw.decades(50, 1500),
  };
  const up = draw.weighted([
    [45, true],
    [55, false],
  ]);
  const strong = draw.weighted([
    [7, draw.decades(47_000, 1_000_000)],
    [3, draw.decades(4700, 47_000)],
  ]);
  // Nobody pulls a track hard enough to bend it.
  const pullOhms = Math.max(strong, LEAST_TIMES_THE_TRACK * track.ohms);
  const pull = draw.happens(0.08)
    ? { up: Infinity, down: Infinity }
    : up
      ? { up: pullOhms, down: Infinity }
      : { up: Infinity, down: pullOhms };
  const supply = () => ({
    // Most are well kept, some stand at the edge of what is right.
    volts: draw.weighted([
      [8, draw.about(5, 0.02)],
      [2, draw.between(4.87, 5.13)],
    ]),
    ohms: draw.decades(0.2, 2),
    limitAmps: draw.decades(0.02, 0.3),
    foldsTo: draw.weighted([
      [6, 1],
      [4, draw.between(0.15, 0.7)],
    ]),
    neighbours: Array.from({ length: draw.of([0, 1, 1, 2, 3]) }, () => ({
      splicedInLoom: draw.happens(0.4),
      ohms: draw.decades(700, 8000),
    })),
  });
  const second = wires.includes('second-reference');
  return {
    battery: { stopped: draw.between(12, 12.9), running: draw.between(13.3, 14.7) },
    unitGroundOhms: draw.decades(0.001, 0.03),
    unitAmps: draw.between(0.2, 1.2),
    wireOhms: draw.between(0.02, 0.25),
    contactOhms: draw.decades(0.003, 0.1),
    supplies: [supply(), ...(second ? [supply()] : [])],
    pulls: { signal: pull, 'second-signal': pull },
    converter: { offsetVolts: draw.about(0, 0.006), gain: draw.about(1, 0.002) },
    chip: {
      amps: draw.decades(0.002, 0.012),
      kneeVolts: draw.between(0.8, 3),
      fromBottomVolts: draw.decades(0.01, 0.2),
      fromTopVolts: draw.decades(0.02, 0.25),
      ohms: draw.decades(15, 600),
      mostAmps: draw.decades(0.002, 0.02),
      startsAtVolts: draw.between(2.2, 3.6),
    },
    heated: { amps: draw.between(0.06, 0.3), topVolts: draw.between(4.85, 5.3) },
    track,
    withinTolerance: draw.between(-1, 1),
    givesUp: {
      low: draw.about(0, 0.03),
      high: draw.about(0, 0.03),
      shows: draw.between(range[0], range[1] + 0.1 * (range[1] - range[0])),
    },
    supplyComplaint: [draw.between(4.4, 4.75), draw.between(5.25, 5.6)],
    pairComplaintPercent: draw.between(3.5, 7),
  };
}
