import type { Lane } from '@lettura/core/machine/places';
import { wiringFor } from '@lettura/core/machine/wiring';
import type { BenchMachine } from '../benchMachine.ts';
import {
  barometer,
  boost,
  exhaustFlow,
  filter,
  manifold,
  movedByHand,
  rail,
  refrigerant,
  throttle,
} from '../quantities.ts';
import { airFlow } from '../airFlowMet.ts';
import { BODY_SENSORS } from '../sensors/bodySensors.ts';
import { PRESSURE_SENSORS } from '../sensors/pressureSensors.ts';
import type { BenchSensor } from '../sensors/usualSensor.ts';

const THREE: readonly Lane[] = ['reference', 'signal', 'return'];
const FOUR: readonly Lane[] = [...THREE, 'second-signal'];

type Given = Omit<BenchMachine, 'wiring' | 'sensor' | 'ambientKpaAbs' | 'referenceCode'>;
const machine = (sensor: BenchSensor, wires: readonly Lane[], given: Given): BenchMachine => ({
  sensor,
  wiring: wiringFor({ ...sensor, wires }),
  ambientKpaAbs: 101.1,
  referenceCode: 'P0641',
  ...given,
});

/*
 * The other machines of the demo scenario, one sensor each; all invented. Names of codes follow SAE J2012, from memory. No
 * case letter tells what it hides: every machine has them in an order of its own.
 */

const RC2_BOAT = machine(PRESSURE_SENSORS[23], FOUR, {
  id: 'reedcutter-rc2',
  name: 'Reedcutter RC2 boat',
  litres: 1.4,
  quantity: manifold,
  substituted: 5,
  codes: {
    signal: { low: 'P0107', high: 'P0108' },
    'second-signal': { low: 'P0112', high: 'P0113' },
  },
  cases: {
    A: [{ kind: 'rail-pulled-down', site: 'neighbour:0', from: 0, to: 0.5 }],
    B: [{ kind: 'hose', site: 'hose', from: 0, to: 0.3 }],
    C: [{ kind: 'thermistor-open', site: 'thermistor' }],
    D: [{ kind: 'wire-to-ground', site: 'signal', from: 0, to: 0.5 }],
    E: [],
    F: [{ kind: 'wire-open', site: 'signal:second', onlyWhenWiggled: true }],
    G: [{ kind: 'wrong-part', site: 'element' }],
    H: [{ kind: 'two-wires-open', site: 'reference+signal:first' }],
  },
});

const LARCH_THROTTLE = machine(BODY_SENSORS[16], [...FOUR, 'motor-plus', 'motor-minus'], {
  id: 'larch-throttle',
  name: 'Larch 1.6 crew van, throttle',
  litres: 1.6,
  quantity: throttle,
  substituted: 7,
  codes: {
    signal: { low: 'P0122', high: 'P0123' },
    'second-signal': { low: 'P0222', high: 'P0223' },
  },
  pairCode: 'P2135',
  cases: {
    A: [{ kind: 'feed-lost-inside', site: 'reference:inside' }],
    B: [{ kind: 'dead-spot', site: 'track:1' }],
    C: [{ kind: 'wire-high-resistance', site: 'return:second', from: 0.1, to: 0.3 }],
    D: [],
    E: [{ kind: 'wire-open', site: 'second-signal:first' }],
    F: [{ kind: 'wire-to-battery', site: 'signal', from: 0, to: 0.3 }],
    G: [{ kind: 'wiper-open', site: 'wiper:2' }],
    H: [{ kind: 'unit-does-not-read', site: 'signal' }],
  },
});

const LARCH_PEDAL = machine(BODY_SENSORS[17], [...FOUR, 'second-reference', 'second-return'], {
  id: 'larch-pedal',
  name: 'Larch 1.6 crew van, pedal',
  litres: 1.6,
  quantity: movedByHand,
  substituted: 0,
  codes: {
    signal: { low: 'P2122', high: 'P2123' },
    'second-signal': { low: 'P2127', high: 'P2128' },
  },
  pairCode: 'P2138',
  cases: {
    A: [{ kind: 'dead-spot', site: 'track:2', from: 0.15, to: 0.5 }],
    B: [{ kind: 'wire-open', site: 'second-reference:second' }],
    C: [],
    D: [{ kind: 'track-open', site: 'lower:1' }],
    E: [{ kind: 'wire-high-resistance', site: 'second-return:plug', from: 0.5, to: 0.9 }],
    F: [{ kind: 'linkage', site: 'linkage', from: 0, to: 0.5 }],
    G: [{ kind: 'wires-together', site: 'signal+second-signal', from: 0, to: 0.2 }],
    H: [{ kind: 'wire-open', site: 'return:plug', onlyWhenWiggled: true }],
  },
});

const EASTFEN = machine(BODY_SENSORS[19], ['signal', 'return', 'battery-feed', 'second-signal'], {
  id: 'eastfen-pump-2',
  name: 'Eastfen pump 2',
  litres: 6.8,
  quantity: airFlow(6.8),
  substituted: 14,
  codes: {
    signal: { low: 'P0102', high: 'P0103' },
    'second-signal': { low: 'P0112', high: 'P0113' },
  },
  cases: {
    A: [],
    B: [{ kind: 'unmetered-air', site: 'duct' }],
    C: [{ kind: 'wire-open', site: 'battery-feed:first' }],
    D: [{ kind: 'sensor-gain', site: 'element', from: 0.2, to: 0.8 }],
    E: [{ kind: 'wire-open', site: 'signal:second' }],
    F: [{ kind: 'wire-high-resistance', site: 'return:first', from: 0.05, to: 0.2 }],
    G: [{ kind: 'sensor-stuck', site: 'element' }],
    H: [{ kind: 'unit-bias-lost', site: 'pull-up:second-signal' }],
  },
});

const WEIR_LANE = machine(PRESSURE_SENSORS[11], THREE, {
  id: 'weir-lane-crane',
  name: 'Weir Lane crane engine',
  quantity: filter,
  substituted: 0,
  codes: { signal: { low: 'P2454', high: 'P2455' } },
  cases: {
    A: [{ kind: 'hoses-swapped', site: 'hoses' }],
    B: [{ kind: 'sensor-shifted', site: 'up', from: 0.1, to: 0.6 }],
    C: [{ kind: 'wire-open', site: 'return:first' }],
    D: [{ kind: 'hose', site: 'hose', from: 0, to: 0.4 }],
    E: [{ kind: 'sensor-loads-reference', site: 'element' }],
    F: [],
    G: [{ kind: 'wire-open', site: 'signal:first' }],
    H: [{ kind: 'feed-lost-inside', site: 'return:inside' }],
  },
});

const FENLIGHT = machine(PRESSURE_SENSORS[13], THREE, {
  id: 'marsh-lane-pump-1',
  name: 'Marsh Lane pump 1',
  quantity: exhaustFlow,
  substituted: 0,
  codes: { signal: { low: 'P0405', high: 'P0406' } },
  cases: {
    A: [{ kind: 'restricted-passages', site: 'passages' }],
    B: [{ kind: 'sensor-stuck', site: 'element', from: 0.1, to: 0.3 }],
    C: [{ kind: 'wires-together', site: 'signal+return', from: 0, to: 0.3 }],
    D: [{ kind: 'wire-open', site: 'reference:second' }],
    E: [{ kind: 'unit-ground-raised', site: 'unit-ground', from: 0.4, to: 0.8 }],
    F: [{ kind: 'hoses-swapped', site: 'hoses' }],
    G: [],
    H: [{ kind: 'output-lost-inside', site: 'signal:inside' }],
  },
});

const LARCH_RAIL = machine(PRESSURE_SENSORS[22], THREE, {
  id: 'larch-rail',
  name: 'Larch 1.6 crew van, fuel rail',
  quantity: rail,
  substituted: 60_000,
  codes: {},
  telegrams: { missingCode: 'P0190', heldCode: 'P0191' },
  cases: {
    A: [{ kind: 'wire-open', site: 'signal:second' }],
    B: [],
    C: [{ kind: 'wire-open', site: 'reference:first' }],
    D: [{ kind: 'wire-to-ground', site: 'signal', from: 0, to: 0.3 }],
    E: [{ kind: 'wire-high-resistance', site: 'return:second', from: 0.85, to: 1 }],
    F: [{ kind: 'rail-pulled-down', site: 'neighbour:0', from: 0, to: 0.5 }],
    G: [{ kind: 'unit-gives-no-reference', site: 'rail:0', from: 0, to: 0.6 }],
    H: [{ kind: 'wires-together', site: 'reference+signal', from: 0, to: 0.3 }],
  },
});

const TOLLAND_RAIL = machine(PRESSURE_SENSORS[22], THREE, {
  id: 'tolland-95',
  name: 'Tolland 95 tractor',
  quantity: rail,
  substituted: 0,
  codes: { signal: { low: 'P0192', high: 'P0193' } },
  cases: {
    A: [{ kind: 'digital-part', site: 'element' }],
    B: [{ kind: 'wire-high-resistance', site: 'signal:second', from: 0.9, to: 1 }],
    C: [{ kind: 'unit-gives-no-reference', site: 'rail:0', from: 0, to: 0.6 }],
    D: [],
    E: [{ kind: 'wire-open', site: 'return:second' }],
    F: [{ kind: 'sensor-shifted', site: 'down', from: 0.3, to: 0.8 }],
    G: [{ kind: 'wires-together', site: 'reference+signal', from: 0, to: 0.3 }],
    H: [{ kind: 'unit-pin-open', site: 'return' }],
  },
});

const HERON_BOOST = machine(PRESSURE_SENSORS[9], THREE, {
  id: 'tolland-95-boost',
  name: 'Tolland 95 tractor, boost',
  quantity: boost,
  substituted: 295,
  codes: { signal: { low: 'P0237', high: 'P0238' } },
  cases: {
    A: [{ kind: 'wire-to-battery', site: 'signal', from: 0, to: 0.3 }],
    B: [],
    C: [{ kind: 'hose', site: 'hose', from: 0, to: 0.5 }],
    D: [{ kind: 'sensor-gain', site: 'element', from: 0, to: 0.6 }],
    E: [{ kind: 'rail-pulled-down', site: 'neighbour:0', from: 0, to: 0.5 }],
    F: [{ kind: 'wire-open', site: 'signal:plug' }],
    G: [{ kind: 'wire-to-ground', site: 'reference', from: 0, to: 0.4 }],
    H: [{ kind: 'sensor-stuck', site: 'element' }],
  },
});

const QUILL_REFRIGERANT = machine(PRESSURE_SENSORS[21], THREE, {
  id: 'quill-14',
  name: 'Quill 1.4 pool car, air conditioning',
  quantity: refrigerant,
  substituted: 3450,
  codes: { signal: { low: 'P0532', high: 'P0533' } },
  cases: {
    A: [{ kind: 'wire-open', site: 'signal:first' }],
    B: [{ kind: 'sensor-shifted', site: 'up' }],
    C: [],
    D: [{ kind: 'wire-open', site: 'return:second' }],
    E: [{ kind: 'wire-high-resistance', site: 'reference:plug', from: 0.4, to: 0.7 }],
    F: [{ kind: 'sensor-stuck', site: 'element', from: 0.05, to: 0.4 }],
    G: [{ kind: 'unit-bias-lost', site: 'pull-up:signal' }],
    H: [{ kind: 'wire-open', site: 'reference:first', onlyWhenWiggled: true }],
  },
});

const QUILL_BAROMETER = machine(PRESSURE_SENSORS[8], THREE, {
  id: 'quill-14-barometer',
  name: 'Quill 1.4 pool car, barometer',
  quantity: barometer,
  substituted: 101,
  codes: { signal: { low: 'P2228', high: 'P2229' } },
  cases: {
    A: [{ kind: 'sensor-shifted', site: 'down' }],
    B: [{ kind: 'wire-open', site: 'signal:second' }],
    C: [{ kind: 'unit-does-not-read', site: 'signal' }],
    D: [{ kind: 'wire-high-resistance', site: 'return:plug', from: 0.3, to: 0.5 }],
    E: [{ kind: 'wires-together', site: 'reference+signal', from: 0, to: 0.3 }],
    F: [{ kind: 'sensor-loads-reference', site: 'element' }],
    G: [{ kind: 'unit-gives-no-reference', site: 'rail:0', from: 0.5, to: 1 }],
    H: [],
  },
});

const CORVEL_THROTTLE = machine(BODY_SENSORS[15], THREE, {
  id: 'quill-14-throttle',
  name: 'Quill 1.4 pool car, throttle',
  litres: 1.4,
  quantity: throttle,
  substituted: 12,
  codes: { signal: { low: 'P0122', high: 'P0123' } },
  cases: {
    A: [{ kind: 'wire-open', site: 'return:first' }],
    B: [{ kind: 'dead-spot', site: 'track:1', from: 0.15, to: 0.85 }],
    C: [{ kind: 'track-open', site: 'upper:1' }],
    D: [{ kind: 'linkage', site: 'linkage', from: 0, to: 0.4 }],
    E: [],
    F: [{ kind: 'wire-to-ground', site: 'signal', from: 0, to: 0.4 }],
    G: [{ kind: 'two-wires-open', site: 'reference+return:second' }],
    H: [{ kind: 'wiper-open', site: 'wiper:1' }],
  },
});

const RC2_FLAP = machine(BODY_SENSORS[18], FOUR, {
  id: 'reedcutter-rc2-flap',
  name: 'Reedcutter RC2 boat, flap',
  quantity: movedByHand,
  substituted: 50,
  codes: {
    signal: { low: 'P2077', high: 'P2078' },
    'second-signal': { low: 'P1082', high: 'P1083' },
  },
  pairCode: 'P1079',
  cases: {
    A: [{ kind: 'linkage', site: 'linkage', from: 0, to: 0.5 }],
    B: [{ kind: 'feed-lost-inside', site: 'return:inside' }],
    C: [{ kind: 'wire-open', site: 'signal:first' }],
    D: [{ kind: 'dead-spot', site: 'track:2', from: 0.15, to: 0.85 }],
    E: [{ kind: 'wires-together', site: 'signal+return', from: 0, to: 0.2 }],
    F: [],
    G: [{ kind: 'wire-high-resistance', site: 'reference:second', from: 0.6, to: 0.9 }],
    H: [{ kind: 'track-open', site: 'upper:2' }],
  },
});

export const OTHER_MACHINES: readonly BenchMachine[] = [
  RC2_BOAT,
  RC2_FLAP,
  LARCH_THROTTLE,
  LARCH_PEDAL,
  EASTFEN,
  WEIR_LANE,
  FENLIGHT,
  TOLLAND_RAIL,
  LARCH_RAIL,
  HERON_BOOST,
  QUILL_REFRIGERANT,
  QUILL_BAROMETER,
  CORVEL_THROTTLE,
];
