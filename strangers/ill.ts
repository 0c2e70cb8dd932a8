import type { Lane, MachineState } from '@lettura/core/machine/places';
import type { ObservationId } from '@lettura/core/record/observation';
import type { Cause } from '@lettura/core/judge/weighing';
import type { Draw } from './draw.ts';
import { OPEN_OHMS } from './nodalCircuit.ts';
import type { StrangeSensor } from './strangeSensor.ts';

/** From the unit's board to what is inside the sensor. */
export const STRETCHES = ['board', 'first', 'second', 'contact', 'inside'] as const;
export type Stretch = (typeof STRETCHES)[number];

/** What is wrong with a machine, in the terms of this simulator. */
export interface Ill {
  name: string;
  class: 'wire' | 'control-unit' | 'sensor' | 'wrong-part' | 'physical' | 'nothing';
  /** Not among what the weighing was made for. */
  outside?: boolean;
  /** Whether a decision leads to the right work at the right place. */
  isAt(cause: Cause): boolean;
  addedOhms?: Partial<Record<`${Lane}:${Stretch}`, number>>;
  leaks?: readonly { a: Lane; b: Lane | 'ground' | 'battery'; ohms: number }[];
  supply?: { number: number; volts?: number; limitAmps?: number };
  neighbour?: { supply: number; ohms: number };
  unitGroundOhms?: number;
  readsAlways?: { wire: Lane; volts: number };
  noPull?: Lane;
  /** What the element gives, as a share of its supply, for what it should give and what it rests at. */
  element?: (share: number, resting: number) => number;
  /** The same of volts that do not follow a supply. */
  chipDraws?: number;
  outputOhms?: number;
  track?: {
    number: 1 | 2;
    openAt?: 'upper' | 'lower' | 'wiper';
    deadFrom?: number;
    deadTo?: number;
    endOhms?: number;
  };
  thermistorOpen?: boolean;
  /** What of the quantity gets to the sensor. */
  quantity?: (value: number, resting: number, state: MachineState) => number;
  /** Where a gauge at the source sees it as well. */
  isAtSource?: boolean;
  shows?: ObservationId;
}

type Maker = (draw: Draw, sensor: StrangeSensor) => Ill | undefined;

const signals = ({ wires }: StrangeSensor) =>
  wires.filter((wire) => wire === 'signal' || wire === 'second-signal');
const supplied = ({ wires }: StrangeSensor) =>
  wires.filter((wire) => !['signal', 'second-signal'].includes(wire));
const isReturn = (wire: Lane) => wire === 'return' || wire === 'second-return';
const joint = (stretch: Stretch) => (stretch === 'contact' ? 'plug' : stretch);
const isSensor = ({ of }: Cause) => of === 'sensor';

const open: Maker = (draw, { wires }) => {
  const wire = draw.of(wires);
  const stretch = draw.of(['first', 'second', 'contact'] as const);
  return brokenWire(wire, stretch, OPEN_OHMS, 'wire open');
};
const brokenWire = (wire: Lane, stretch: Stretch, ohms: number, name: string): Ill => ({
  name: `${name} ${wire}:${stretch}`,
  class: 'wire',
  isAt: (cause) =>
    (cause.of === 'wire' && cause.wire === wire && cause.joint === joint(stretch)) ||
    (cause.of === 'two-wires-open' && cause.joint === joint(stretch) && cause.wires.includes(wire)),
  addedOhms: { [`${wire}:${stretch}`]: ohms },
  ...(stretch === 'contact' ? { shows: 'plug-contacts' as const } : {}),
});

const resistance: Maker = (draw, { wires }) =>
  brokenWire(
    draw.of(wires),
    draw.of(['first', 'second', 'contact'] as const),
    draw.decades(3, 60_000),
    'resistance',
  );

const twoOpen: Maker = (draw, { wires }) => {
  const first = draw.of(wires);
  const second = draw.of(wires.filter((wire) => wire !== first));
  const stretch = draw.of(['first', 'second'] as const);
  return {
    name: `two open ${first}+${second}:${stretch}`,
    class: 'wire',
    isAt: (cause) =>
      (cause.of === 'two-wires-open' && cause.joint === stretch && cause.wires.includes(first)) ||
      (cause.of === 'wire' && cause.joint === stretch && [first, second].includes(cause.wire)),
    addedOhms: { [`${first}:${stretch}`]: OPEN_OHMS, [`${second}:${stretch}`]: OPEN_OHMS },
  };
};

const leak =
  (to: 'ground' | 'battery'): Maker =>
  (draw, { wires }) => {
    const wire = draw.of(wires.filter((one) => !(to === 'ground' ? isReturn(one) : one === 'battery-feed')));
    return {
      name: `${wire} to ${to}`,
      class: 'wire',
      isAt: (cause) => 'wire' in cause && cause.of === `wire-to-${to}` && cause.wire === wire,
      leaks: [
        {
          a: wire,
          b: to,
          ohms: draw.weighted([
            [6, draw.decades(0.05, 50)],
            [4, draw.decades(50, 20_000)],
          ]),
        },
      ],
    };
  };

const together: Maker = (draw, { wires }) => {
  const a = draw.of(wires);
  const b = draw.of(wires.filter((wire) => wire !== a));
  const touches = (of: 'wire-to-ground' | 'wire-to-battery', end: (wire: Lane) => boolean, cause: Cause) =>
    cause.of === of &&
    [[a, b] as const, [b, a] as const].some(([one, other]) => end(other) && cause.wire === one);
  return {
    name: `${a} and ${b} together`,
    class: 'wire',
    // Freed at the same place, whatever it is called.
    isAt: (cause) =>
      (cause.of === 'wires-together' && cause.wires.includes(a) && cause.wires.includes(b)) ||
      touches('wire-to-ground', isReturn, cause) ||
      touches('wire-to-battery', (wire) => wire === 'battery-feed', cause),
    leaks: [
      {
        a,
        b,
        ohms: draw.weighted([
          [6, draw.decades(0.05, 50)],
          [4, draw.decades(50, 20_000)],
        ]),
      },
    ],
  };
};

const neighbourLoads: Maker = (draw, { wires }) =>
  wires.includes('reference')
    ? {
        name: 'another sensor loads the supply',
        class: 'wire',
        isAt: ({ of }) => of === 'rail-pulled-down',
        neighbour: { supply: 0, ohms: draw.decades(0.3, 40) },
      }
    : undefined;

const supplyWrong: Maker = (draw, { wires }) => {
  const number = wires.includes('second-reference') ? draw.of([0, 1]) : 0;
  return wires.includes('reference')
    ? {
        name: `supply ${number} wrong`,
        class: 'control-unit',
        isAt: (cause) => cause.of === 'unit-gives-no-reference' && cause.rail === number,
        supply: {
          number,
          volts: draw.weighted([
            [4, draw.between(0, 4.75)],
            [1, draw.between(5.3, 6.5)],
          ]),
        },
      }
    : undefined;
};

const boardOpen: Maker = (draw, sensor) => {
  const wire = draw.of(supplied(sensor).filter((one) => one !== 'battery-feed'));
  const supply = wire === 'reference' ? 0 : wire === 'second-reference' ? 1 : undefined;
  return {
    name: `unit pin ${wire} open`,
    class: 'control-unit',
    isAt: (cause) =>
      supply === undefined
        ? cause.of === 'unit-pin-open' && cause.wire === wire
        : cause.of === 'unit-gives-no-reference' && cause.rail === supply,
    addedOhms: { [`${wire}:board`]: OPEN_OHMS },
  };
};

const groundRaised: Maker = (draw) => ({
  name: 'unit ground raised',
  class: 'control-unit',
  isAt: ({ of }) => of === 'unit-ground-raised',
  unitGroundOhms: draw.decades(0.25, 4),
});

const doesNotRead: Maker = (draw, sensor) => {
  const wire = draw.of(signals(sensor));
  return {
    name: `unit does not read ${wire}`,
    class: 'control-unit',
    isAt: (cause) => cause.of === 'unit-does-not-read' && cause.wire === wire,
    readsAlways: { wire, volts: draw.between(0, 5) },
  };
};

const sensorIll = (name: string, rest: Partial<Ill>): Ill => ({
  name,
  class: 'sensor',
  isAt: isSensor,
  ...rest,
});

const stuck: Maker = (draw) => {
  const at = draw.between(0.01, 0.99);
  return sensorIll('stuck', { element: () => at });
};
const shifted: Maker = (draw) => {
  const by = (draw.happens(0.5) ? 1 : -1) * draw.between(0.04, 0.28);
  return sensorIll('shifted', { element: (share) => share + by });
};
const gain: Maker = (draw) => {
  const factor = draw.weighted([
    [3, draw.between(0.2, 0.85)],
    [1, draw.between(1.15, 1.6)],
  ]);
  return sensorIll('gain', {
    element: (share, resting) => resting + factor * (share - resting),
    outside: factor > 1,
  });
};
const saturates: Maker = (draw) => {
  const upTo = draw.between(0.3, 0.75);
  return sensorIll('saturates', { element: (share) => Math.min(upTo, share), outside: true });
};
const bends: Maker = (draw) => {
  const power = draw.of([0.5, 0.6, 1.6, 2]);
  return sensorIll('bends', { element: (share) => Math.max(0, share) ** power, outside: true });
};
const sticks: Maker = (draw) => {
  const from = draw.between(0.1, 0.4);
  const to = from + draw.between(0.25, 0.5);
  return sensorIll('sticks over a part', {
    element: (share) => (share > from && share < to ? from : share),
    outside: true,
  });
};
const weakOutput: Maker = (draw, { body }) =>
  body === 'chip'
    ? sensorIll('weak output', { outputOhms: draw.decades(20_000, 400_000), outside: true })
    : undefined;
const loads: Maker = (draw, { body }) =>
  body === 'chip' ? sensorIll('sensor loads its supply', { chipDraws: draw.decades(0.7, 40) }) : undefined;
const lostInside: Maker = (draw, { wires }) => {
  const wire = draw.of(wires);
  return sensorIll(`lost inside ${wire}`, { addedOhms: { [`${wire}:inside`]: OPEN_OHMS } });
};
const trackIll: Maker = (draw, { body }) => {
  if (body !== 'track' && body !== 'pair') return undefined;
  const number = body === 'pair' ? draw.of([1, 2] as const) : 1;
  const openAt = draw.of(['upper', 'lower', 'wiper'] as const);
  return sensorIll(`track ${openAt}`, { track: { number, openAt } });
};
const deadSpot: Maker = (draw, { body }) => {
  if (body !== 'track' && body !== 'pair') return undefined;
  const from = draw.between(0.2, 0.6);
  const number = body === 'pair' ? draw.of([1, 2] as const) : 1;
  return sensorIll('dead spot', {
    track: { number, deadFrom: from, deadTo: from + draw.between(0.02, 0.08) },
  });
};
const trackEnd: Maker = (draw, { body }) =>
  body === 'track' || body === 'pair'
    ? sensorIll('resistance at a track’s end', {
        track: { number: 1, endOhms: draw.decades(600, 6000) },
        outside: true,
      })
    : undefined;
const thermistorOpen: Maker = (_draw, { companion }) =>
  companion?.kind === 'temperature' ? sensorIll('thermistor open', { thermistorOpen: true }) : undefined;

const wrongPart: Maker = (draw, { body }) => {
  if (body !== 'chip') return undefined;
  const factor = draw.weighted([
    [2, draw.between(0.35, 0.8)],
    [1, draw.between(1.3, 1.9)],
  ]);
  const foot = draw.between(-0.1, 0.12);
  return {
    name: 'another variant',
    class: 'wrong-part',
    isAt: ({ of }) => of === 'wrong-part',
    element: (share) => factor * share + foot,
    shows: 'part-number',
  };
};

const hose: Maker = (draw, { family }) => {
  if (
    !['manifold-pressure', 'boost-pressure', 'filter-differential', 'exhaust-flow-differential'].includes(
      family,
    )
  )
    return undefined;
  const reaches = draw.between(0, 0.75);
  return {
    name: 'hose',
    class: 'physical',
    isAt: ({ of }) => of === 'hose',
    quantity: (value, resting) => resting + reaches * (value - resting),
    shows: 'hose',
  };
};
const swapped: Maker = (_draw, { family }) =>
  family.endsWith('differential')
    ? {
        name: 'hoses swapped',
        class: 'physical',
        isAt: ({ of }) => of === 'hoses-swapped',
        quantity: (value, resting) => 2 * resting - value,
        shows: 'hose-routing',
      }
    : undefined;
const arm: Maker = (draw, { body, profile }) => {
  if (body !== 'track' && body !== 'pair') return undefined;
  // A detached arm lies wherever it fell.
  const lies = draw.between(profile.lowest, profile.highest);
  const reaches = draw.happens(0.5) ? 0 : draw.between(0.1, 0.7);
  return {
    name: 'arm',
    class: 'physical',
    isAt: ({ of }) => of === 'linkage',
    quantity: (value, resting) => (reaches === 0 ? lies : resting + reaches * (value - resting)),
    shows: 'arm',
  };
};
const pastIt: Maker = (draw, { family }) => {
  if (family !== 'air-flow') return undefined;
  const reaches = draw.between(0.2, 0.8);
  return {
    name: 'air past the meter',
    class: 'physical',
    isAt: ({ of }) => of === 'unmetered-air',
    quantity: (value, resting) => resting + reaches * (value - resting),
    shows: 'duct',
  };
};
const passages: Maker = (draw, { family }) => {
  if (family !== 'exhaust-flow-differential') return undefined;
  const reaches = draw.between(0, 0.35);
  return {
    name: 'passages',
    class: 'physical',
    isAt: ({ of }) => of === 'restricted-passages',
    quantity: (value, resting) => resting + reaches * (value - resting),
    shows: 'stumbles',
  };
};
const lowVacuum: Maker = (draw, { family }) => {
  if (family !== 'manifold-pressure') return undefined;
  const reaches = draw.between(0.45, 0.78);
  return {
    name: 'low vacuum',
    class: 'physical',
    isAt: ({ of }) => of === 'low-vacuum',
    quantity: (value, resting) => resting + reaches * (value - resting),
    isAtSource: true,
  };
};

const NOTHING: Ill = { name: 'nothing', class: 'nothing', isAt: ({ of }) => of === 'nothing' };

const ILLS: readonly (readonly [number, Maker])[] = [
  [15, () => NOTHING],
  [15, open],
  [13, resistance],
  [2, twoOpen],
  [7, leak('ground')],
  [3, leak('battery')],
  [5, together],
  [3, neighbourLoads],
  [3, supplyWrong],
  [2, boardOpen],
  [3, groundRaised],
  [2, doesNotRead],
  [6, stuck],
  [6, shifted],
  [4, gain],
  [2, saturates],
  [1.5, bends],
  [1.5, sticks],
  [1.5, weakOutput],
  [2, loads],
  [3, lostInside],
  [4, trackIll],
  [4, deadSpot],
  [1, trackEnd],
  [1, thermistorOpen],
  [3, wrongPart],
  [8, hose],
  [2, swapped],
  [5, arm],
  [8, pastIt],
  [5, passages],
  [6, lowVacuum],
];

/** Something that this machine can have. */
export function illOf(draw: Draw, sensor: StrangeSensor): Ill {
  for (;;) {
    const found = draw.weighted(ILLS)(draw, sensor);
    if (found) return found;
  }
}
