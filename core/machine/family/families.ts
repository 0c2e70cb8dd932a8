import { isPressure, type Measurand } from '../../measure/quantity/index.ts';

export interface Family {
  words: string;
  /** What sensors of this family report; the first is the usual one. */
  measures: readonly [Measurand, ...Measurand[]];
  /** Trade notes, all common practice: starting points that the maker's data overrules. */
  notes: readonly string[];
}

/** The sensor families of the trade. What each should read in a state is in `expectedValue`. */
export const FAMILIES = {
  'manifold-pressure': {
    words: 'Manifold absolute pressure',
    measures: ['absolute-pressure'],
    notes: [
      'With the engine stopped it must equal barometric pressure.',
      'A healthy petrol engine idles at 18 to 23 inHg of vacuum at sea level; about 15 with late timing.',
      'At or below 13 kPa, or under 0.5 V, suggests circuit low; 119 kPa and more, or over 4.4 V, circuit high.',
    ],
  },
  'barometric-pressure': {
    words: 'Barometric pressure',
    measures: ['absolute-pressure'],
    notes: ['Pairs with manifold pressure with the key on and the engine off: both must read the same.'],
  },
  'boost-pressure': {
    words: 'Boost pressure',
    measures: ['absolute-pressure', 'gauge-pressure'],
    notes: [
      'One common diesel family idles around 2.0 V.',
      'A reading stuck above 5 V that follows no drive cycle is electrical, not boost.',
    ],
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
  },
  throttle: {
    words: 'Throttle position',
    measures: ['position', 'angle'],
    notes: [
      'A single track gives about 0.9 V closed and 3.9 V wide open.',
      'Full supply on the signal: no return, or signal shorted to reference.',
      'Both tracks of a pair dead together point at a shared feed or return, also inside the housing.',
    ],
  },
  pedal: {
    words: 'Accelerator pedal position',
    measures: ['position', 'angle'],
    notes: [
      'Track 1 rests at 0.88 to 1.1 V, track 2 at about half of it (up to 0.59 V).',
      'Tracks often have separate references.',
      'Correlation out of limits at one point only: sweep for a dead spot.',
    ],
  },
  flap: {
    words: 'Flap, runner or valve position',
    measures: ['position', 'angle'],
    notes: [
      'Move the arm by hand: the percentage must follow.',
      'Arm moves and the percentage stays: linkage. It follows and the target is missed: actuator.',
    ],
  },
  'air-flow': {
    words: 'Air flow, hot element',
    measures: ['air-flow'],
    notes: [
      'Grams per second at idle are roughly the engine’s litres, or a little more.',
      'Reads low when air bypasses it, when it sits loose in its housing, and when dirty.',
      'Tapping it must not interrupt the signal.',
    ],
  },
  'refrigerant-pressure': {
    words: 'Refrigerant pressure',
    measures: ['gauge-pressure', 'absolute-pressure'],
    notes: [
      'About 0.3 V to 3.5 V over its working range.',
      'Live data pegged near 500 psi: signal lost.',
      'At rest the pressure is the refrigerant’s saturation pressure at ambient temperature.',
    ],
  },
  'fuel-rail-pressure': {
    words: 'Fuel rail pressure',
    measures: ['gauge-pressure', 'absolute-pressure'],
    notes: [
      'A substituted absurd constant in live data is not a reading.',
      'An analogue voltage fed into a digital line sets a second code: the clue that it is not analogue.',
      'Relieve the pressure before opening anything.',
    ],
  },
  other: {
    words: 'Other pressure sensor',
    measures: ['absolute-pressure', 'gauge-pressure', 'differential-pressure'],
    notes: [],
  },
} as const satisfies Record<string, Family>;

export type FamilyId = keyof typeof FAMILIES;
export const FAMILY_IDS = Object.keys(FAMILIES) as FamilyId[];
export const familyOf = (id: FamilyId): Family => FAMILIES[id];

/** No pump reaches a fuel rail, none goes on a refrigerant line, and a barometer often has no port. */
const NEVER_PUMPED: readonly FamilyId[] = [
  'fuel-rail-pressure',
  'refrigerant-pressure',
  'barometric-pressure',
];

/** Whether a hand pump can be put on a sensor of this family. */
export const canBePumped = (id: FamilyId): boolean =>
  isPressure(FAMILIES[id].measures[0]) && !NEVER_PUMPED.includes(id);
