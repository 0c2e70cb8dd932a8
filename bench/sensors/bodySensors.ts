import { INVENTED, linear, profileOf, ratiometric, type BenchSensor } from './usualSensor.ts';

/** Percent of travel over a potentiometer or a magnetic track. */
const travel = (
  low: readonly [volts: number, percent: number],
  high: readonly [volts: number, percent: number],
) =>
  profileOf({
    measures: 'position',
    transfer: ratiometric(low, high),
    lowest: 0,
    highest: 100,
    tolerance: { form: 'plus-minus', plusMinus: 2 },
    differenceThatMatters: 5,
  });

/** Invented position and flow sensors of the demo workshop: pairs, hot elements and curves that are not straight, by the number that they ship under. */
export const BODY_SENSORS = {
  15: {
    name: 'Corvel TP-1 throttle, single track',
    family: 'throttle',
    source: INVENTED,
    profile: travel([0.9, 0], [3.9, 100]),
    pins: [
      { terminal: '1', wire: 'reference', colour: 'grey' },
      { terminal: '2', wire: 'signal', colour: 'white' },
      { terminal: '3', wire: 'return', colour: 'brown-blue' },
    ],
  },
  16: {
    name: 'Corvel TP-2 throttle, mirrored pair',
    family: 'throttle',
    source: INVENTED,
    notes: 'Both tracks share reference and return inside the housing.',
    profile: travel([0.7, 0], [4.3, 100]),
    companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
    pins: [
      { terminal: '1', wire: 'reference', colour: 'grey' },
      { terminal: '2', wire: 'signal', colour: 'white' },
      { terminal: '3', wire: 'second-signal', colour: 'white-green' },
      { terminal: '4', wire: 'return', colour: 'brown-blue' },
      { terminal: '5', wire: 'motor-plus', colour: 'red' },
      { terminal: '6', wire: 'motor-minus', colour: 'black' },
    ],
  },
  17: {
    name: 'Larch AP-2 pedal, half-ratio pair',
    family: 'pedal',
    source: INVENTED,
    profile: travel([1, 0], [4.4, 100]),
    companion: {
      kind: 'second-track',
      pair: { law: 'ratio', ratio: 2, offsetVolts: 0 },
      separateFeeds: true,
    },
    pins: [
      { terminal: '1', wire: 'second-reference', colour: 'red-blue' },
      { terminal: '2', wire: 'reference', colour: 'red' },
      { terminal: '3', wire: 'return', colour: 'brown' },
      { terminal: '4', wire: 'signal', colour: 'white' },
      { terminal: '5', wire: 'second-return', colour: 'brown-blue' },
      { terminal: '6', wire: 'second-signal', colour: 'white-blue' },
    ],
  },
  18: {
    name: 'Reedcutter FL-1 flap, same-slope pair',
    family: 'flap',
    source: INVENTED,
    profile: travel([1, 0], [4.5, 100]),
    companion: {
      kind: 'second-track',
      pair: { law: 'ratio', ratio: 1, offsetVolts: 0.5 },
      separateFeeds: false,
    },
  },
  19: {
    name: 'Brill HF-5 air flow, hot element with air temperature',
    family: 'air-flow',
    source: INVENTED,
    notes: 'Fed with 12 V from the relay: no feed, no signal, whatever the 5 V side shows.',
    profile: profileOf({
      measures: 'air-flow',
      transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.52 },
      lowest: 0,
      highest: 300,
      tolerance: { form: 'of-value', percent: 4, atLeast: 0.2 },
      differenceThatMatters: 1.5,
      circuitLowVolts: 0.4,
      circuitHighVolts: 4.9,
      bias: 'pull-down',
    }),
    companion: {
      kind: 'temperature',
      thermistor: { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 },
      pullUpOhms: 2000,
    },
    pins: [
      { terminal: '1', wire: 'temperature-signal', colour: 'violet' },
      { terminal: '2', wire: 'battery-feed', colour: 'red-black' },
      { terminal: '3', wire: 'return', colour: 'brown' },
      { terminal: '4', wire: 'reference', colour: 'grey' },
      { terminal: '5', wire: 'signal', colour: 'yellow-blue' },
    ],
  },
  20: {
    name: 'Larch HF-2 air flow, by table',
    family: 'air-flow',
    source: INVENTED,
    profile: profileOf({
      measures: 'air-flow',
      transfer: {
        form: 'table',
        ratiometric: false,
        points: [
          { volts: 0.95, value: 0 },
          { volts: 1.25, value: 2.2 },
          { volts: 1.6, value: 5.6 },
          { volts: 2.05, value: 12.5 },
          { volts: 2.6, value: 27 },
          { volts: 3.2, value: 55 },
          { volts: 3.8, value: 100 },
          { volts: 4.4, value: 168 },
        ],
      },
      lowest: 0,
      highest: 168,
      tolerance: { form: 'of-value', percent: 4, atLeast: 0.2 },
      differenceThatMatters: 1.2,
      circuitLowVolts: 0.3,
      circuitHighVolts: 4.85,
      bias: 'pull-down',
    }),
  },
  24: {
    name: 'Reedcutter RV-1 runner position, curved track',
    family: 'flap',
    source: INVENTED,
    profile: profileOf({
      measures: 'angle',
      transfer: {
        form: 'polynomial',
        coefficients: [-4.2, 14, 1.6],
        fromVolts: 0.3,
        toVolts: 4.7,
        ratiometric: true,
      },
      lowest: 1,
      highest: 95,
      tolerance: { form: 'plus-minus', plusMinus: 2.5 },
      differenceThatMatters: 5,
    }),
  },
  26: {
    name: 'Tolland PD-1 pedal, falling track',
    family: 'pedal',
    source: INVENTED,
    notes: 'Falls as the pedal goes down; the control unit turns it round.',
    profile: profileOf({
      measures: 'position',
      transfer: linear([4.2, 0], [0.8, 100]),
      lowest: 0,
      highest: 100,
      tolerance: { form: 'plus-minus', plusMinus: 2 },
      differenceThatMatters: 5,
    }),
  },
} as const satisfies Record<number, BenchSensor>;
