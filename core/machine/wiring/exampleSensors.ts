import type { Lane } from '../places/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import type { FamilyId } from '../family/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import { wiringFor } from './wiringFor.ts';
import type { WiringSpec } from './wiringSpec.ts';

/** A body of every electrical kind, for the checks of circuit, faults and reasoning. Values are invented. */
export interface ExampleSensor {
  name: string;
  family: FamilyId;
  profile: SensorProfile;
  companion?: Companion;
  wiring: WiringSpec;
}

const profile = (over: Partial<SensorProfile>): SensorProfile => ({
  measures: 'absolute-pressure',
  transfer: { form: 'ratiometric', sharePerUnit: 0.0085, shareAtZero: -0.09 },
  nominalReferenceVolts: 5,
  lowest: 20,
  highest: 115,
  circuitLowVolts: 0.2,
  circuitHighVolts: 4.8,
  tolerance: { form: 'plus-minus', plusMinus: 2 },
  differenceThatMatters: 6,
  bias: 'pull-down',
  ...over,
});
const travel = (low: number, high: number): Partial<SensorProfile> => ({
  measures: 'position',
  transfer: { form: 'ratiometric', sharePerUnit: (high - low) / 500, shareAtZero: low / 5 },
  lowest: 0,
  highest: 100,
});
const THREE: readonly Lane[] = ['reference', 'signal', 'return'];
const example = (
  name: string,
  family: FamilyId,
  over: Partial<SensorProfile>,
  wires: readonly Lane[] = THREE,
  companion?: Companion,
): ExampleSensor => {
  const sensor = { profile: profile(over), ...(companion && { companion }) };
  return { name, family, ...sensor, wiring: wiringFor({ ...sensor, wires }) };
};

export const EXAMPLE_SENSORS: readonly ExampleSensor[] = [
  example('manifold pressure, pulled down', 'manifold-pressure', {}),
  example('differential pressure, pulled up', 'exhaust-flow-differential', {
    measures: 'differential-pressure',
    transfer: { form: 'ratiometric', sharePerUnit: 0.008, shareAtZero: 0.1 },
    lowest: 0,
    highest: 100,
    bias: 'pull-up',
  }),
  example('single track', 'throttle', travel(0.9, 3.9)),
  example(
    'mirrored pair with a motor in the body',
    'throttle',
    travel(0.7, 4.3),
    [...THREE, 'second-signal', 'motor-plus', 'motor-minus'],
    { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
  ),
  example(
    'half-ratio pair on feeds of its own',
    'pedal',
    { ...travel(1, 4.4), bias: 'pull-up' },
    [...THREE, 'second-signal', 'second-reference', 'second-return'],
    { kind: 'second-track', pair: { law: 'ratio', ratio: 2, offsetVolts: 0 }, separateFeeds: true },
  ),
  example('pressure and temperature in one body', 'boost-pressure', {}, [...THREE, 'second-signal'], {
    kind: 'temperature',
    thermistor: { law: 'beta', ohmsAt25Celsius: 2040, betaKelvin: 3400 },
    pullUpOhms: 2200,
  }),
  example(
    'hot element with air temperature',
    'air-flow',
    {
      measures: 'air-flow',
      transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.52 },
      lowest: 0,
      highest: 300,
    },
    ['signal', 'return', 'battery-feed', 'second-signal'],
    {
      kind: 'temperature',
      thermistor: { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 },
      pullUpOhms: 2000,
    },
  ),
];
