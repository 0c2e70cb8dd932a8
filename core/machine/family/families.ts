import { say, type Message } from '../../measure/message/index.ts';
import type { Measurand } from '../../measure/quantity/index.ts';
import {
  COMMON_SERVICE_GAUGE,
  COMMON_VACUUM_GAUGE,
  type GaugeAccuracy,
  type Instrument,
} from '../../measure/uncertainty/index.ts';
import type { FaultKindId, PhysicalKindId } from '../kinds/index.ts';
import type { GaugeTap, MachineState } from '../places/index.ts';
import type { LiveItemId } from '../live/index.ts';
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
import type { TradeNote } from './tradeNote.ts';
import type { Expects } from './valueBand.ts';

/** Names of codes for an input that reads too low and too high. */
type LowHigh = readonly [low: string, high: string];

/** Everything that is known of a family of sensors: a new one is one entry here. */
export interface FamilySpec {
  words: Message;
  /** What sensors of this family report; the first is the usual one. */
  measures: readonly [Measurand, ...Measurand[]];
  /** Trade notes, all common practice: starting points that the maker's data overrules. */
  notes: readonly TradeNote[];
  /** Whether a hand pump can be put on it. */
  pumped: boolean;
  /** It works above ambient: a hand pump presses on it, although an absolute one counts from nothing. */
  pumpedUp?: true;
  /** Where the machine itself drives the quantity away from its resting value; left out where it cannot. */
  moves?: MachineState;
  /** Names of what is done to it in that state, and of nothing done; left out where nothing is but the engine run. */
  stimulus?: { off: Message; on: Message };
  /** Whether a signal that stays where it was in that state is stuck. */
  mustMove: boolean;
  /** When its port is open to the air, so that an absolute sensor reads ambient pressure. */
  openToAir?: 'stopped' | 'always';
  /** Where a gauge can be put on the same pressure; at a manifold the running engine's vacuum is judged then. */
  gaugeTaps?: readonly GaugeTap[];
  /** How a hand moves it from stop to stop while it is recorded: only for what is moved through an arm or a linkage. */
  byHand?: Message;
  /** Whether letting an engine rev says something about it. */
  revved?: true;
  /** What else must be known to say what it should read. */
  needs?: 'displacement' | 'refrigerant';
  /** What a sound sensor reports in a state. */
  expects: Expects;
  /** What can be wrong outside of sensor and circuit. */
  causes: readonly PhysicalKindId[];
  /** Where it has weak spots of its own: our own starting weights of these kinds. */
  weights?: Partial<Record<FaultKindId, number>>;
  /** What the unit complains of by, SAE J2012 (from memory). */
  codes: { signal?: LowHigh; 'second-signal'?: LowHigh; apart?: string };
  /** Its item of standard live data; left out where the standard has none. */
  liveItem?: LiveItemId;
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
    words: say('families.manifold-absolute-pressure'),
    measures: ['absolute-pressure'],
    notes: [
      { at: 'stopped', says: say('families.engine-stopped-must-equal-barometric') },
      { at: 'driven', says: say('families.healthy-petrol-engine-idles-18') },
      { at: 'signal', says: say('families.below-13-kpa-under-0') },
    ],
    pumped: true,
    moves: IDLE,
    mustMove: true,
    openToAir: 'stopped',
    gaugeTaps: ['manifold', 'sensor-hose'],
    revved: true,
    expects: inManifold,
    causes: ['hose', 'low-vacuum'],
    codes: { signal: ['P0107', 'P0108'], 'second-signal': AIR_TEMPERATURE },
    liveItem: 0x0b,
  },
  'barometric-pressure': {
    words: say('families.barometric-pressure'),
    measures: ['absolute-pressure'],
    notes: [{ at: 'stopped', says: say('families.pairs-manifold-pressure-key-engine') }],
    // A barometer often has no port.
    pumped: false,
    mustMove: true,
    openToAir: 'always',
    expects: alwaysAmbient,
    causes: [],
    codes: { signal: ['P2228', 'P2229'] },
    liveItem: 0x33,
  },
  'boost-pressure': {
    words: say('families.boost-pressure'),
    measures: ['absolute-pressure', 'gauge-pressure'],
    notes: [
      { at: 'driven', says: say('families.one-common-diesel-family-idles') },
      { at: 'signal', says: say('families.reading-stuck-above-5-v') },
    ],
    pumped: true,
    pumpedUp: true,
    moves: REVS_HELD,
    // Without load a turbocharger hardly moves.
    mustMove: false,
    openToAir: 'stopped',
    revved: true,
    expects: boosted,
    causes: ['hose'],
    codes: { signal: ['P0237', 'P0238'], 'second-signal': AIR_TEMPERATURE },
    liveItem: 0x0b,
  },
  'filter-differential': {
    words: say('families.filter-differential-pressure'),
    measures: ['differential-pressure'],
    notes: [
      { at: 'signal', says: say('families.about-zero-engine-stopped-rises') },
      { at: 'signal', says: say('families.two-hoses-before-after-filter') },
      { at: 'replacing', says: say('families.after-replacement-often-needs-zero') },
      { at: 'replacing', says: say('families.ohms-across-supply-pins-old') },
    ],
    pumped: true,
    moves: REVS_HELD,
    // Without load a clean filter hardly moves.
    mustMove: false,
    revved: true,
    expects: acrossFilter,
    causes: ['hose', 'hoses-swapped'],
    // Soot and water in the hoses.
    weights: { hose: 12, 'hoses-swapped': 2.5 },
    codes: { signal: ['P2454', 'P2455'] },
    hazards: ['regeneration', 'hot-exhaust'],
  },
  'exhaust-flow-differential': {
    words: say('families.exhaust-gas-flow-differential-pressure'),
    measures: ['differential-pressure'],
    notes: [
      { at: 'stopped', says: say('families.offset-engine-stopped-0-8') },
      { at: 'driven', says: say('families.rises-towards-4-v-when') },
      { at: 'driven', says: say('families.engine-stumbles-voltage-stays-passages') },
      { at: 'driven', says: say('families.no-stumble-restricted-passage-valve') },
    ],
    pumped: true,
    moves: { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } },
    stimulus: { off: say('families.valve-as-it-is'), on: say('families.forced-open') },
    mustMove: true,
    revved: true,
    expects: exhaustFlow,
    causes: ['hose', 'hoses-swapped', 'restricted-passages'],
    weights: { hose: 12 },
    codes: { signal: ['P0405', 'P0406'] },
    hazards: ['hot-exhaust'],
  },
  throttle: {
    words: say('families.throttle-position'),
    measures: ['position', 'angle'],
    notes: [
      { at: 'signal', says: say('families.single-track-gives-about-0') },
      { at: 'signal', says: say('families.full-supply-signal-no-return') },
      { at: 'pair', says: say('families.both-tracks-pair-dead-together') },
      { at: 'replacing', says: say('families.closed-position-learned-again') },
    ],
    pumped: false,
    moves: FULL_TRAVEL,
    stimulus: { off: say('families.throttle-closed'), on: say('families.wide-open') },
    mustMove: true,
    byHand: say('checks.key-engine-off-turn-throttle'),
    expects: throttleRests,
    causes: ['linkage'],
    // Worn where the engine idles.
    weights: { 'dead-spot': 6, linkage: 3 },
    codes: { signal: ['P0122', 'P0123'], 'second-signal': ['P0222', 'P0223'], apart: 'P2135' },
    liveItem: 0x11,
  },
  pedal: {
    words: say('families.accelerator-pedal-position'),
    measures: ['position', 'angle'],
    notes: [
      { at: 'stopped', says: say('families.track-1-rests-0-88') },
      { at: 'pair', says: say('families.tracks-often-separate-references') },
      { at: 'pair', says: say('families.correlation-out-limits-one-point') },
    ],
    pumped: false,
    moves: FULL_TRAVEL,
    stimulus: { off: say('families.pedal-rest'), on: say('families.fully-down') },
    mustMove: true,
    byHand: say('checks.key-engine-off-press-pedal'),
    expects: pedalRests,
    causes: ['linkage'],
    // Worn where the foot rests.
    weights: { 'dead-spot': 7, linkage: 3 },
    codes: { signal: ['P2122', 'P2123'], 'second-signal': ['P2127', 'P2128'], apart: 'P2138' },
    liveItem: 0x49,
  },
  flap: {
    words: say('families.flap-runner-valve-position'),
    measures: ['position', 'angle'],
    notes: [
      { at: 'signal', says: say('families.move-arm-hand-percentage-must') },
      { at: 'live', says: say('families.arm-moves-percentage-stays-linkage') },
    ],
    pumped: false,
    moves: FULL_TRAVEL,
    stimulus: { off: say('families.arm-as-it-is'), on: say('families.far-stop') },
    mustMove: true,
    byHand: say('checks.key-engine-off-move-arm'),
    expects: flapRests,
    causes: ['linkage'],
    weights: { linkage: 9 },
    codes: { signal: ['P2077', 'P2078'] },
  },
  'air-flow': {
    words: say('families.air-flow-hot-element'),
    measures: ['air-flow'],
    notes: [
      { at: 'driven', says: say('families.grams-per-second-idle-roughly') },
      { at: 'driven', says: say('families.reads-low-when-air-bypasses') },
      { at: 'signal', says: say('families.tapping-must-not-interrupt-signal') },
    ],
    pumped: false,
    moves: IDLE,
    mustMove: true,
    revved: true,
    needs: 'displacement',
    expects: flowing,
    causes: ['unmetered-air'],
    // Dirt on the element.
    weights: { 'sensor-shifted': 9, 'sensor-gain': 9 },
    codes: { signal: ['P0102', 'P0103'], 'second-signal': AIR_TEMPERATURE },
    liveItem: 0x10,
  },
  'refrigerant-pressure': {
    words: say('families.refrigerant-pressure'),
    measures: ['gauge-pressure', 'absolute-pressure'],
    notes: [
      { at: 'signal', says: say('families.about-0-3-v-3') },
      { at: 'live', says: say('families.live-data-pegged-near-500') },
      { at: 'stopped', says: say('families.rest-pressure-refrigerants-saturation-pressure') },
    ],
    // None goes on a refrigerant line.
    pumped: false,
    moves: IDLE,
    // Nobody knows how far it will.
    mustMove: false,
    // Whoever works on such a circuit has a gauge set on it.
    gaugeTaps: ['service-port'],
    needs: 'refrigerant',
    expects: saturated,
    causes: [],
    codes: { signal: ['P0532', 'P0533'] },
    hazards: ['refrigerant'],
  },
  'fuel-rail-pressure': {
    words: say('families.fuel-rail-pressure'),
    measures: ['gauge-pressure', 'absolute-pressure'],
    notes: [
      { at: 'live', says: say('families.substituted-absurd-constant-live-data') },
      { at: 'signal', says: say('families.analogue-voltage-fed-into-digital') },
      { at: 'replacing', says: say('families.relieve-pressure-before-opening-anything') },
    ],
    // No pump reaches a fuel rail.
    pumped: false,
    moves: IDLE,
    mustMove: false,
    expects: makersRail,
    causes: [],
    codes: { signal: ['P0192', 'P0193'] },
    liveItem: 0x23,
    hazards: ['high-pressure'],
  },
  other: {
    words: say('families.other-pressure-sensor'),
    measures: ['absolute-pressure', 'gauge-pressure', 'differential-pressure'],
    notes: [],
    pumped: true,
    mustMove: true,
    openToAir: 'stopped',
    expects: unknownQuantity,
    causes: [],
    codes: {},
  },
};

/** All facts of a family of sensors. */
export const familyOf = (id: FamilyId): FamilySpec => FAMILIES[id];

/** Whether it is moved through an arm or a linkage, by a foot, a cable or an actuator: a track, from stop to stop. */
export const isLinked = (id: FamilyId): boolean => FAMILIES[id].byHand !== undefined;

/** Whether a gauge can be set beside it on a vacuum that is itself judged. */
export const isVacuumGauged = (id: FamilyId): boolean =>
  FAMILIES[id].gaugeTaps?.includes('manifold') ?? false;

/** Where a gauge goes on a sensor of this family, unless somebody says where. */
export const usualTap = (id: FamilyId): GaugeTap =>
  FAMILIES[id].gaugeTaps?.includes('service-port') ? 'service-port' : 'sensor-hose';

/** What a good workshop puts there, as long as nobody has said. */
export const commonGauge = (id: FamilyId): Instrument<GaugeAccuracy> =>
  usualTap(id) === 'service-port' ? COMMON_SERVICE_GAUGE : COMMON_VACUUM_GAUGE;
