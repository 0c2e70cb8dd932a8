import type { MachineState, Target } from '../evidence/index.ts';

/** One question that readings answer: which readings it needs, its possible answers, and how to take it. */
export interface Check {
  question: string;
  needs: readonly { target: Target; state: MachineState }[];
  /** Each answer as a technician would see it on the instrument. */
  outcomes: Readonly<Record<string, string>>;
  minutesPerReading: number;
  how: string;
}

const at = (lane: 'reference' | 'signal' | 'return', place: 'unit' | 'plug'): Target => ({
  kind: 'wire',
  lane,
  place,
});
const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const IDLE: MachineState = { engine: 'idle', plug: 'connected' };
const PLUG_OFF: MachineState = { engine: 'koeo', plug: 'unplugged' };

const BACK_PROBE = 'Back-probe with the plug connected, black lead on battery negative.';

export const CHECKS = {
  'reference-at-plug': {
    question: 'Does the reference reach the sensor under load?',
    needs: [{ target: at('reference', 'plug'), state: KOEO }],
    outcomes: { normal: '4.9 to 5.1 V', low: 'below 4.9 V', missing: 'next to nothing', high: 'above 5.1 V' },
    minutesPerReading: 2,
    how: BACK_PROBE,
  },
  'reference-at-unit': {
    question: 'Does the control unit give the reference?',
    needs: [{ target: at('reference', 'unit'), state: KOEO }],
    outcomes: { normal: '4.9 to 5.1 V', low: 'below 4.9 V', missing: 'next to nothing', high: 'above 5.1 V' },
    minutesPerReading: 5,
    how: BACK_PROBE,
  },
  'reference-unplugged': {
    question: 'Is the reference there with the sensor off the line?',
    needs: [{ target: at('reference', 'plug'), state: PLUG_OFF }],
    outcomes: { normal: '4.9 to 5.1 V', low: 'below 4.9 V', missing: 'next to nothing', high: 'above 5.1 V' },
    minutesPerReading: 3,
    how: 'Unplug the sensor with the key off, key on, probe the harness side gently. The unplugging may set a code.',
  },
  'return-at-plug': {
    question: 'Does the return hold the sensor at battery negative under load?',
    needs: [{ target: at('return', 'plug'), state: KOEO }],
    outcomes: { 'near-zero': 'within 50 mV', raised: '50 mV to 1 V', floating: 'above 1 V' },
    minutesPerReading: 2,
    how: BACK_PROBE,
  },
  'return-at-unit': {
    question: 'Is the return good at the control unit?',
    needs: [{ target: at('return', 'unit'), state: KOEO }],
    outcomes: { 'near-zero': 'within 50 mV', raised: 'above 50 mV' },
    minutesPerReading: 5,
    how: BACK_PROBE,
  },
  'signal-koeo': {
    question: 'With the engine stopped, does the signal show ambient pressure?',
    needs: [{ target: at('signal', 'plug'), state: KOEO }],
    outcomes: {
      ambient: 'ambient pressure',
      shifted: 'in range, but not ambient',
      'shifted-by-return': 'shifted by just what the return is raised',
      low: 'below the circuit-low limit',
      high: 'above the circuit-high limit',
    },
    minutesPerReading: 2,
    how: BACK_PROBE,
  },
  'signal-follows': {
    question: 'Does the signal move when the engine starts?',
    needs: [
      { target: at('signal', 'plug'), state: KOEO },
      { target: at('signal', 'plug'), state: IDLE },
    ],
    outcomes: { moves: 'the signal moves', stuck: 'the signal stays where it was' },
    minutesPerReading: 2,
    how: `${BACK_PROBE} Start the engine and let it settle.`,
  },
  'signal-unit-vs-plug': {
    question: 'Does the signal arrive at the control unit as it leaves the sensor?',
    needs: [
      { target: at('signal', 'plug'), state: KOEO },
      { target: at('signal', 'unit'), state: KOEO },
    ],
    outcomes: { same: 'the same at both ends', differs: 'different at the unit' },
    minutesPerReading: 5,
    how: BACK_PROBE,
  },
  'signal-unplugged': {
    question: 'With the plug off, where does the signal wire go?',
    needs: [{ target: at('signal', 'plug'), state: PLUG_OFF }],
    outcomes: { 'at-bias': 'to the bias level', 'held-high': 'held high', 'held-low': 'held low' },
    minutesPerReading: 3,
    how: 'Unplug the sensor with the key off, key on, probe the harness side gently. The unplugging may set a code.',
  },
  'live-vs-plug': {
    question: 'Does live data show what is on the wire?',
    needs: [
      { target: at('signal', 'plug'), state: KOEO },
      { target: { kind: 'scan' }, state: KOEO },
    ],
    outcomes: { agrees: 'live data agrees with the wire', differs: 'live data shows something else' },
    minutesPerReading: 1,
    how: 'Read manifold pressure in live data with nothing else changed.',
  },
  'sensor-vs-gauge-hose': {
    question: 'Does a gauge teed into the sensor’s hose agree with the sensor at idle?',
    needs: [
      { target: at('signal', 'plug'), state: IDLE },
      { target: { kind: 'gauge', tap: 'sensor-hose' }, state: IDLE },
    ],
    outcomes: {
      agree: 'gauge and sensor agree',
      disagree: 'gauge and sensor disagree',
      'disagree-by-return': 'they disagree by just what the return is raised',
    },
    minutesPerReading: 4,
    how: 'Tee the gauge in next to the sensor, start the engine and let both settle.',
  },
  'sensor-vs-gauge-manifold': {
    question: 'Does a gauge on the manifold itself agree with the sensor at idle?',
    needs: [
      { target: at('signal', 'plug'), state: IDLE },
      { target: { kind: 'gauge', tap: 'manifold' }, state: IDLE },
    ],
    outcomes: {
      agree: 'gauge and sensor agree',
      disagree: 'gauge and sensor disagree',
      'disagree-by-return': 'they disagree by just what the return is raised',
    },
    minutesPerReading: 5,
    how: 'Put the gauge on a manifold port of its own, start the engine and let both settle.',
  },
  'vacuum-at-hose': {
    question: 'Does a healthy idle vacuum reach the sensor’s hose?',
    needs: [{ target: { kind: 'gauge', tap: 'sensor-hose' }, state: IDLE }],
    outcomes: { healthy: 'a healthy idle vacuum', low: 'a low vacuum' },
    minutesPerReading: 4,
    how: 'Tee the gauge in next to the sensor, start the engine and let it settle.',
  },
  'vacuum-at-manifold': {
    question: 'Does the engine make a healthy vacuum at idle?',
    needs: [{ target: { kind: 'gauge', tap: 'manifold' }, state: IDLE }],
    outcomes: { healthy: 'a healthy idle vacuum', low: 'a low vacuum' },
    minutesPerReading: 5,
    how: 'Put the gauge on a manifold port of its own, start the engine and let it settle.',
  },
} as const satisfies Record<string, Check>;

export type CheckId = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as CheckId[];
export const checkOf = (id: CheckId): Check => CHECKS[id];
export type OutcomeOf<Id extends CheckId> = keyof (typeof CHECKS)[Id]['outcomes'] & string;
