import type { Lane } from '../../machine/places/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import type { FamilyId } from '../../machine/family/index.ts';
import { BIASES, type SensorProfile } from '../../measure/transfer/index.ts';
import { wiringFor, type WiringSpec } from '../../machine/wiring/index.ts';

/** A body that a plug of so many terminals may belong to, as far as its electrics go. */
export interface Body {
  family: FamilyId;
  profile: SensorProfile;
  companion?: Companion;
  wiring: WiringSpec;
}

const THREE: readonly Lane[] = ['reference', 'signal', 'return'];
const THERMISTOR: Companion = {
  kind: 'temperature',
  thermistor: { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 },
  pullUpOhms: 2200,
};
const MIRRORED: Companion = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false };
const HALF: Companion = {
  kind: 'second-track',
  pair: { law: 'ratio', ratio: 2, offsetVolts: 0 },
  separateFeeds: true,
};

interface Shape {
  family: FamilyId;
  measures: SensorProfile['measures'];
  wires: readonly Lane[];
  companion?: Companion;
}

const SHAPES: readonly Shape[] = [
  { family: 'boost-pressure', measures: 'absolute-pressure', wires: THREE },
  { family: 'flap', measures: 'position', wires: THREE },
  { family: 'air-flow', measures: 'air-flow', wires: ['signal', 'return', 'battery-feed'] },
  {
    family: 'boost-pressure',
    measures: 'absolute-pressure',
    wires: [...THREE, 'second-signal'],
    companion: THERMISTOR,
  },
  { family: 'throttle', measures: 'position', wires: [...THREE, 'second-signal'], companion: MIRRORED },
  {
    family: 'air-flow',
    measures: 'air-flow',
    wires: ['signal', 'return', 'battery-feed', 'second-signal'],
    companion: THERMISTOR,
  },
  {
    family: 'air-flow',
    measures: 'air-flow',
    wires: ['signal', 'return', 'battery-feed', 'second-signal', 'reference'],
    companion: THERMISTOR,
  },
  {
    family: 'throttle',
    measures: 'position',
    wires: [...THREE, 'second-signal', 'motor-plus', 'motor-minus'],
    companion: MIRRORED,
  },
  {
    family: 'pedal',
    measures: 'position',
    wires: [...THREE, 'second-signal', 'second-reference', 'second-return'],
    companion: HALF,
  },
];

/** From a tenth to nine tenths of the reference over its range, or up to 5 V by itself on a battery feed. */
const profileOf = (measures: SensorProfile['measures'], bias: SensorProfile['bias']): SensorProfile => ({
  measures,
  transfer:
    measures === 'air-flow'
      ? { form: 'linear', low: { volts: 0.3, value: 0 }, high: { volts: 4.8, value: 100 } }
      : { form: 'ratiometric', sharePerUnit: 0.0088, shareAtZero: 0.06 },
  nominalReferenceVolts: 5,
  lowest: 0,
  highest: 100,
  circuitLowVolts: 0.2,
  circuitHighVolts: 4.9,
  tolerance: { form: 'plus-minus', plusMinus: 2 },
  differenceThatMatters: 5,
  bias,
});

/** Every body with a plug of that many terminals, with its input pulled up and pulled down. */
export const bodiesWith = (terminals: number): Body[] =>
  SHAPES.filter(({ wires }) => wires.length === terminals).flatMap(({ family, measures, wires, companion }) =>
    BIASES.filter((bias) => bias !== 'unknown').map((bias) => {
      const sensor = { profile: profileOf(measures, bias), ...(companion && { companion }) };
      return { family, ...sensor, wiring: wiringFor({ ...sensor, wires }) };
    }),
  );

/** Plugs that the finder knows bodies for. */
export const TERMINAL_COUNTS = [3, 4, 5, 6] as const;
export type TerminalCount = (typeof TERMINAL_COUNTS)[number];
