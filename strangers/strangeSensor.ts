import { FAMILY_IDS, type FamilyId } from '@lettura/core/machine/family';
import type { Lane, MachineState } from '@lettura/core/machine/places';
import type { Companion } from '@lettura/core/measure/companion';
import type { SensorProfile, TransferFunction } from '@lettura/core/measure/transfer';
import type { Draw } from './draw.ts';

/** What is printed of a sensor, as a technician would have entered it; and what its machine gives it to measure. */
export interface StrangeSensor {
  family: FamilyId;
  body: 'chip' | 'heated' | 'track' | 'pair';
  profile: SensorProfile;
  companion?: Companion;
  wires: readonly Lane[];
  litres?: number;
  /** What live data shows of the engine. */
  engine?(state: MachineState): { revsPerMinute: number; manifoldKpaAbs: number };
  /** In the measurand's unit, with nothing wrong. */
  meets(state: MachineState): number;
  atRest: number;
}

export interface Weather {
  kpaAbs: number;
  celsius: number;
}

const THREE: readonly Lane[] = ['reference', 'signal', 'return'];

/** Output volts at the ends of the range, as each maker has them. */
const ends = (draw: Draw): readonly [number, number] =>
  draw.weighted([
    [4, [0.5, 4.5]],
    [1, [draw.between(0.2, 0.45), draw.between(4.6, 4.85)]],
    [1, [draw.between(0.9, 1.1), draw.between(4.1, 4.7)]],
    [1, [draw.between(0.25, 0.9), draw.between(3.4, 4.6)]],
  ]);

const straight = (
  [low, high]: readonly [number, number],
  lowest: number,
  highest: number,
  follows: boolean,
): TransferFunction => {
  const slope = (high - low) / 5 / (highest - lowest);
  return follows
    ? { form: 'ratiometric', sharePerUnit: slope, shareAtZero: low / 5 - slope * lowest }
    : { form: 'linear', low: { volts: low, value: lowest }, high: { volts: high, value: highest } };
};

function electrics(draw: Draw, volts: readonly [number, number]) {
  const low = Math.min(...volts);
  const high = Math.max(...volts);
  return {
    nominalReferenceVolts: 5,
    circuitLowVolts: Math.max(0.05, low - draw.between(0.12, 0.3)),
    circuitHighVolts: Math.min(4.95, high + draw.between(0.12, 0.35)),
    differenceThatMatters: 0,
    bias: 'unknown' as const,
  };
}

const revving = {
  'key-off': 0,
  koeo: 0,
  cranking: 0.02,
  idle: 0.12,
  'held-revs': 0.45,
  'snap-open': 1,
  'under-load': 0.9,
} as const;
const isStopped = ({ engine }: MachineState) => engine === 'key-off' || engine === 'koeo';

/** A pressure sensor by its family. */
function pressureSensor(
  draw: Draw,
  machine: Draw,
  family: FamilyId,
  { kpaAbs, celsius }: Weather,
): StrangeSensor {
  const absolute = ['manifold-pressure', 'barometric-pressure', 'boost-pressure'].includes(family);
  const [lowest, highest] = {
    'manifold-pressure': draw.of([
      [10, 115],
      [15, 105],
      [20, 250],
      [20, 120],
      [13, 101.3 + 6],
    ]),
    'barometric-pressure': draw.of([
      [50, 115],
      [60, 110],
      [15, 115],
    ]),
    'boost-pressure': draw.of([
      [20, 300],
      [50, 400],
      [30, 250],
    ]),
    'filter-differential': draw.of([
      [0, 100],
      [0, 50],
      [0, 30],
    ]),
    'exhaust-flow-differential': draw.of([
      [0, 20],
      [0, 35],
      [-5, 30],
    ]),
    'refrigerant-pressure': draw.of([
      [0, 3100],
      [0, 3500],
    ]),
    'fuel-rail-pressure': draw.of([
      [0, 180_000],
      [0, 200_000],
      [0, 25_000],
    ]),
  }[family as 'manifold-pressure'] as [number, number];
  const volts = ends(draw);
  const follows = draw.happens(0.85);
  const plusMinus = (highest - lowest) * draw.between(0.008, 0.025);
  const profile: SensorProfile = {
    ...electrics(draw, volts),
    measures: absolute
      ? 'absolute-pressure'
      : family.endsWith('differential')
        ? 'differential-pressure'
        : 'gauge-pressure',
    transfer: straight(volts, lowest, highest, follows),
    lowest,
    highest,
    tolerance: { form: 'plus-minus', plusMinus },
    differenceThatMatters: plusMinus * 2,
  };
  const rest = absolute ? kpaAbs : 0;
  const idle = machine.between(26, 42);
  const strong = machine.between(0.5, 1);
  const saturation = 100 * Math.exp(10.5 - 2600 / (celsius + 273)) * 0.96;
  const own = (state: MachineState): number => {
    const effort = revving[state.engine];
    if (family === 'manifold-pressure') {
      if (isStopped(state)) return kpaAbs;
      if (state.engine === 'cranking') return kpaAbs - 12 * strong;
      if (state.engine === 'under-load') return kpaAbs - 9 * strong;
      if (state.engine === 'snap-open') return kpaAbs - 8 * (1 - strong) - 1;
      return state.engine === 'idle' ? idle : idle - 6 * strong;
    }
    if (family === 'boost-pressure')
      return isStopped(state) ? kpaAbs : kpaAbs + 2 * strong + 55 * strong * Math.max(0, effort - 0.12);
    if (family === 'filter-differential') return (highest / 3) * strong * effort;
    if (family === 'exhaust-flow-differential')
      return state.stimulus?.kind === 'valve-open' ? highest * (0.4 + 0.5 * strong) : 0;
    if (family === 'refrigerant-pressure') return saturation * (isStopped(state) ? 1 : 1.4 + strong);
    if (family === 'fuel-rail-pressure')
      return isStopped(state) ? 0 : highest * (0.13 + 0.1 * strong + 0.5 * Math.max(0, effort - 0.12));
    return kpaAbs;
  };
  return {
    family,
    body: 'chip',
    profile,
    wires: THREE,
    litres: draw.between(1, 4),
    meets: (state) => (state.stimulus?.kind === 'pump' ? rest + state.stimulus.kpaAboveAmbient : own(state)),
    atRest: own({ engine: 'koeo', plug: 'connected' }),
  };
}

function positionSensor(draw: Draw, machine: Draw, family: FamilyId): StrangeSensor {
  const isPair = draw.happens(family === 'pedal' ? 0.9 : 0.6);
  const falls = !isPair && draw.happens(0.2);
  const rises = [draw.between(0.4, 1.1), draw.between(3.7, 4.6)] as const;
  const volts = falls ? ([rises[1], rises[0]] as const) : rises;
  const plusMinus = draw.between(1.5, 3);
  const profile: SensorProfile = {
    ...electrics(draw, volts),
    measures: 'position',
    transfer: straight(volts, 0, 100, true),
    lowest: 0,
    highest: 100,
    tolerance: { form: 'plus-minus', plusMinus },
    differenceThatMatters: 5,
  };
  const separateFeeds = isPair && family === 'pedal' && draw.happens(0.6);
  const pair = draw.of([
    { law: 'mirrored' } as const,
    { law: 'ratio', ratio: 2, offsetVolts: 0 } as const,
    { law: 'ratio', ratio: 1, offsetVolts: draw.between(0.2, 0.5) } as const,
  ]);
  const rest = machine.between(0, 4);
  const far = machine.between(93, 100);
  const driven = machine.between(4, 12);
  return {
    family,
    body: isPair ? 'pair' : 'track',
    profile,
    ...(isPair ? { companion: { kind: 'second-track', pair, separateFeeds } as const } : {}),
    wires: [
      ...THREE,
      ...(isPair ? (['second-signal'] as const) : []),
      ...(separateFeeds ? (['second-reference', 'second-return'] as const) : []),
    ],
    meets(state) {
      if (state.stimulus?.kind === 'full-travel') return far;
      if (state.stimulus?.kind === 'held') return state.stimulus.percent;
      return family === 'throttle' && !isStopped(state) ? driven * (1 + 6 * revving[state.engine]) : rest;
    },
    atRest: rest,
  };
}

function airMeter(draw: Draw, machine: Draw, { kpaAbs, celsius }: Weather): StrangeSensor {
  const litres = draw.between(1.2, 5);
  const highest = draw.between(160, 360);
  const b = draw.between(0.7, 1.1);
  const a = draw.between(0.6, 1.1);
  const hasTemperature = draw.happens(0.6);
  const transfer: TransferFunction = {
    form: 'hot-element',
    a,
    b: Math.min(b, (4.75 ** 2 - a) / highest ** 0.5),
    n: 0.5,
  };
  const at = (flow: number) => Math.sqrt(a + transfer.b * flow ** 0.5);
  const idleKpa = machine.between(27, 38);
  const filling = machine.between(0.75, 0.92);
  const grams = (revs: number, kpa: number) =>
    ((kpa * 1000 * (litres / 1000) * filling * (revs / 120)) / (287 * (celsius + 293))) * 1000;
  const turning = ({ engine }: MachineState) => {
    switch (engine) {
      case 'idle':
        return { revs: idleRevs(litres), kpa: idleKpa };
      case 'held-revs':
        return { revs: 2200, kpa: idleKpa };
      case 'snap-open':
        return { revs: 2800, kpa: kpaAbs - 4 };
      case 'under-load':
        return { revs: 3200, kpa: kpaAbs - 6 };
      case 'key-off':
      case 'koeo':
      case 'cranking':
        return { revs: 0, kpa: kpaAbs };
    }
  };
  return {
    family: 'air-flow',
    body: 'heated',
    profile: {
      ...electrics(draw, [at(0), at(highest)]),
      measures: 'air-flow',
      transfer,
      lowest: 0,
      highest,
      tolerance: { form: 'of-value', percent: draw.between(3, 5), atLeast: 0.25 },
      differenceThatMatters: 1.5,
    },
    ...(hasTemperature
      ? {
          companion: {
            kind: 'temperature',
            thermistor: { law: 'beta', ohmsAt25Celsius: draw.between(1800, 2800), betaKelvin: 3500 },
            pullUpOhms: draw.of([1000, 2200, 4700]),
          } as const,
        }
      : {}),
    wires: [
      'signal',
      'return',
      'battery-feed',
      ...(hasTemperature ? (['second-signal'] as const) : []),
      ...(draw.happens(0.3) ? (['reference'] as const) : []),
    ],
    litres: Math.round(litres * 10) / 10,
    engine: (state) => {
      const { revs, kpa } = turning(state);
      return { revsPerMinute: revs, manifoldKpaAbs: kpa };
    },
    meets(state) {
      const { revs, kpa } = turning(state);
      return grams(revs, kpa);
    },
    atRest: 0,
  };
}

/** Larger engines idle slower. */
const idleRevs = (litres: number): number => 850 - 30 * litres;

/** All but the one that nothing is known of. */
export const STRANGE_FAMILIES = FAMILY_IDS.filter((id) => id !== 'other');

/** @param sensor what its maker decided; @param machine what it sits on */
export function strangeSensor(
  sensor: Draw,
  machine: Draw,
  family: FamilyId,
  weather: Weather,
): StrangeSensor {
  if (family === 'throttle' || family === 'pedal' || family === 'flap')
    return positionSensor(sensor, machine, family);
  return family === 'air-flow'
    ? airMeter(sensor, machine, weather)
    : pressureSensor(sensor, machine, family, weather);
}
