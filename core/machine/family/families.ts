import type { Measurand } from '../../measure/quantity/index.ts';
import type { FaultKindId, PhysicalKindId } from '../kinds/index.ts';
import type { MachineState } from '../places/index.ts';
import {
  acrossFilter,
  alwaysAmbient,
  boosted,
  exhaustFlow,
  flowing,
  inManifold,
  makersRail,
  flapRests,
  pedalRests,
  saturated,
  throttleRests,
  unknownQuantity,
} from './expectations.ts';
import type { FamilyId } from './familyIds.ts';
import type { Expects } from './valueBand.ts';

/** Names of codes for an input that reads too low and too high. */
type LowHigh = readonly [low: string, high: string];

/** Everything that is known of a family of sensors: a new one is one entry here. */
export interface FamilySpec {
  words: string;
  /** What sensors of this family report; the first is the usual one. */
  measures: readonly [Measurand, ...Measurand[]];
  /** Trade notes, all common practice: starting points that the maker's data overrules. */
  notes: readonly string[];
  /** Whether a hand pump can be put on it. */
  pumped: boolean;
  /** Where the machine itself drives the quantity away from its resting value; left out where it cannot. */
  moves?: MachineState;
  /** Whether a signal that stays where it was in that state is stuck. */
  mustMove: boolean;
  /** What a sound sensor reports in a state. */
  expects: Expects;
  /** What can be wrong outside of sensor and circuit. */
  causes: readonly PhysicalKindId[];
  /** Where it has weak spots of its own: our own starting weights of these kinds. */
  weights?: Partial<Record<FaultKindId, number>>;
  /** What the unit complains of by, SAE J2012 (from memory). */
  codes: { signal?: LowHigh; 'second-signal'?: LowHigh; apart?: string };
  /** Its item of standard live data, SAE J1979 service 01; left out where the standard has none. */
  liveItem?: number;
  /** Step of that item, where it is none of its quantity's own. */
  liveStep?: number;
  /** What can hurt whoever works at it. */
  hazards?: readonly ('high-pressure' | 'refrigerant' | 'regeneration' | 'hot-exhaust')[];
}

const IDLE: MachineState = { engine: 'idle', plug: 'connected' };
const REVS_HELD: MachineState = { engine: 'held-revs', plug: 'connected' };
const FULL_TRAVEL: MachineState = {
  engine: 'koeo',
  plug: 'connected',
  stimulus: { kind: 'full-travel' },
};
const AIR_TEMPERATURE: LowHigh = ['P0112', 'P0113'];

/** The sensor families of the trade. */
export const FAMILIES: Readonly<Record<FamilyId, FamilySpec>> = {
  'manifold-pressure': {
    words: 'Manifold absolute pressure',
    measures: ['absolute-pressure'],
    notes: [
      'With the engine stopped it must equal barometric pressure.',
      'A healthy petrol engine idles at 18 to 23 inHg of vacuum at sea level; about 15 with late timing.',
      'At or below 13 kPa, or under 0.5 V, suggests circuit low; 119 kPa and more, or over 4.4 V, circuit high.',
    ],
    pumped: true,
    moves: IDLE,
    mustMove: true,
    expects: inManifold,
    causes: ['hose', 'low-vacuum'],
    codes: { signal: ['P0107', 'P0108'], 'second-signal': AIR_TEMPERATURE },
    liveItem: 0x0b,
  },
  'barometric-pressure': {
    words: 'Barometric pressure',
    measures: ['absolute-pressure'],
    notes: ['Pairs with manifold pressure with the key on and the engine off: both must read the same.'],
    // A barometer often has no port.
    pumped: false,
    mustMove: true,
    expects: alwaysAmbient,
    causes: [],
    codes: { signal: ['P2228', 'P2229'] },
    liveItem: 0x33,
  },
  'boost-pressure': {
    words: 'Boost pressure',
    measures: ['absolute-pressure', 'gauge-pressure'],
    notes: [
      'One common diesel family idles around 2.0 V.',
      'A reading stuck above 5 V that follows no drive cycle is electrical, not boost.',
    ],
    pumped: true,
    moves: REVS_HELD,
    // Without load a turbocharger hardly moves.
    mustMove: false,
    expects: boosted,
    causes: ['hose'],
    codes: { signal: ['P0237', 'P0238'], 'second-signal': AIR_TEMPERATURE },
    liveItem: 0x0b,
  },
  'filter-differential': {
    words: 'Filter differential pressure',
    measures: ['differential-pressure'],
    notes: [
      'About zero with the engine stopped; rises with revs, and with a hand pump on the high side.',
      'Two hoses, before and after the filter: swapped or blocked hoses imitate a bad sensor.',
      'After replacement it often needs a zero or relearn.',
      'Ohms across the supply pins, old part beside new, tell a dead one: kilohms in a sound part, far more or next to none in a dead one.',
    ],
    pumped: true,
    moves: REVS_HELD,
    // Without load a clean filter hardly moves.
    mustMove: false,
    expects: acrossFilter,
    causes: ['hose', 'hoses-swapped'],
    // Soot and water in the hoses.
    weights: { hose: 12, 'hoses-swapped': 2.5 },
    codes: { signal: ['P2454', 'P2455'] },
    hazards: ['regeneration', 'hot-exhaust'],
  },
  'exhaust-flow-differential': {
    words: 'Exhaust-gas flow differential pressure',
    measures: ['differential-pressure'],
    notes: [
      'The offset with the engine stopped is 0.8 to 1.2 V in one variant, 0.3 to 0.7 V in another.',
      'Rises towards 4 V when the valve is forced open at about 1,500 rpm.',
      'Engine stumbles and the voltage stays: the passages flow, the sensor or its circuit does not report.',
      'No stumble: restricted passage or valve.',
    ],
    pumped: true,
    moves: { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } },
    mustMove: true,
    expects: exhaustFlow,
    causes: ['hose', 'hoses-swapped', 'restricted-passages'],
    weights: { hose: 12 },
    codes: { signal: ['P0405', 'P0406'] },
    hazards: ['hot-exhaust'],
  },
  throttle: {
    words: 'Throttle position',
    measures: ['position', 'angle'],
    notes: [
      'A single track gives about 0.9 V closed and 3.9 V wide open.',
      'Full supply on the signal: no return, or signal shorted to reference.',
      'Both tracks of a pair dead together point at a shared feed or return, also inside the housing.',
    ],
    pumped: false,
    moves: FULL_TRAVEL,
    mustMove: true,
    expects: throttleRests,
    causes: ['linkage'],
    // Worn where the engine idles.
    weights: { 'dead-spot': 6, linkage: 3 },
    codes: { signal: ['P0122', 'P0123'], 'second-signal': ['P0222', 'P0223'], apart: 'P2135' },
    liveItem: 0x11,
  },
  pedal: {
    words: 'Accelerator pedal position',
    measures: ['position', 'angle'],
    notes: [
      'Track 1 rests at 0.88 to 1.1 V, track 2 at about half of it (up to 0.59 V).',
      'Tracks often have separate references.',
      'Correlation out of limits at one point only: sweep for a dead spot.',
    ],
    pumped: false,
    moves: FULL_TRAVEL,
    mustMove: true,
    expects: pedalRests,
    causes: ['linkage'],
    // Worn where the foot rests.
    weights: { 'dead-spot': 7, linkage: 3 },
    codes: { signal: ['P2122', 'P2123'], 'second-signal': ['P2127', 'P2128'], apart: 'P2138' },
    liveItem: 0x49,
  },
  flap: {
    words: 'Flap, runner or valve position',
    measures: ['position', 'angle'],
    notes: [
      'Move the arm by hand: the percentage must follow.',
      'Arm moves and the percentage stays: linkage. It follows and the target is missed: actuator.',
    ],
    pumped: false,
    moves: FULL_TRAVEL,
    mustMove: true,
    expects: flapRests,
    causes: ['linkage'],
    weights: { linkage: 9 },
    codes: { signal: ['P2077', 'P2078'], 'second-signal': ['P2082', 'P2083'], apart: 'P2079' },
  },
  'air-flow': {
    words: 'Air flow, hot element',
    measures: ['air-flow'],
    notes: [
      'Grams per second at idle are roughly the engine’s litres, or a little more.',
      'Reads low when air bypasses it, when it sits loose in its housing, and when dirty.',
      'Tapping it must not interrupt the signal.',
    ],
    pumped: false,
    moves: IDLE,
    mustMove: true,
    expects: flowing,
    causes: ['unmetered-air'],
    // Dirt on the element.
    weights: { 'sensor-shifted': 9, 'sensor-gain': 9 },
    codes: { signal: ['P0102', 'P0103'], 'second-signal': AIR_TEMPERATURE },
    liveItem: 0x10,
  },
  'refrigerant-pressure': {
    words: 'Refrigerant pressure',
    measures: ['gauge-pressure', 'absolute-pressure'],
    notes: [
      'About 0.3 V to 3.5 V over its working range.',
      'Live data pegged near 500 psi: signal lost.',
      'At rest the pressure is the refrigerant’s saturation pressure at ambient temperature.',
    ],
    // None goes on a refrigerant line.
    pumped: false,
    moves: IDLE,
    // Nobody knows how far it will.
    mustMove: false,
    expects: saturated,
    causes: [],
    codes: { signal: ['P0532', 'P0533'] },
    hazards: ['refrigerant'],
  },
  'fuel-rail-pressure': {
    words: 'Fuel rail pressure',
    measures: ['gauge-pressure', 'absolute-pressure'],
    notes: [
      'A substituted absurd constant in live data is not a reading.',
      'An analogue voltage fed into a digital line sets a second code: the clue that it is not analogue.',
      'Relieve the pressure before opening anything.',
    ],
    // No pump reaches a fuel rail.
    pumped: false,
    moves: IDLE,
    mustMove: false,
    expects: makersRail,
    causes: [],
    codes: { signal: ['P0192', 'P0193'] },
    liveItem: 0x23,
    // The item that is read counts in these.
    liveStep: 10,
    hazards: ['high-pressure'],
  },
  other: {
    words: 'Other pressure sensor',
    measures: ['absolute-pressure', 'gauge-pressure', 'differential-pressure'],
    notes: [],
    pumped: true,
    mustMove: true,
    expects: unknownQuantity,
    causes: [],
    codes: {},
  },
};

export const familyOf = (id: FamilyId): FamilySpec => FAMILIES[id];

/** Whether it is moved through an arm or a linkage, by a foot, a cable or an actuator. */
export const isLinked = (id: FamilyId): boolean => FAMILIES[id].causes.includes('linkage');
