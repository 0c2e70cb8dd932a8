import type { EngineState, GaugeTap, Lane, Place, PlugState, Stimulus } from '@lettura/core/machine/places';
import type { AmbientSource } from '@lettura/core/measure/quantity';
import type { CaseLetter } from '@lettura/bench';

type Reading =
  | {
      lane: Lane;
      place: Place;
      typed: string;
      volts: number;
      engine?: EngineState;
      plug?: PlugState;
      stimulus?: Stimulus;
    }
  | { along: Lane; typed: string; volts: number; engine?: EngineState }
  | { tap: GaugeTap; typed: string; vacuumInHg: number; engine: EngineState }
  | { typed: string; scanKpaAbs: number; engine: EngineState }
  | { typed: string; flowGramsPerSecond: number; engine: EngineState };

export interface DemoJob {
  vehicle: string;
  displacementLitres?: number;
  sensor: string;
  complaint: string;
  codes: string[];
  history: string;
  openedHoursAgo: number;
  ambient?: AmbientSource;
  readings: Reading[];
  verdict?: { cause: string; note: string };
  practiceSeed?: number;
  /** A slow travel logged on a simulated machine with this case. */
  sweep?: { machineId: string; caseLetter: CaseLetter };
}

/** The invented work of an invented workshop: five real stages of a job, and one practice case. */
export const DEMO_JOBS: DemoJob[] = [
  {
    vehicle: 'Brill P4 pump engine, Marsh Lane station',
    sensor: 'Corvel MS-3 manifold pressure',
    complaint: 'Loses power when the second pump cuts in. Warning lamp on.',
    codes: ['P0107'],
    history: 'Manifold pressure sensor replaced in spring for the same code. Code came back after a week.',
    openedHoursAgo: 52,
    ambient: { source: 'barometer', stationKpaAbs: 100.9 },
    readings: [
      { lane: 'reference', place: 'plug', typed: 'ref plug 21mV', volts: 0.021 },
      { lane: 'signal', place: 'plug', typed: 'sig plug 4mV', volts: 0.004 },
      { typed: 'scan 118 kPa', scanKpaAbs: 118, engine: 'koeo' },
      { lane: 'reference', place: 'unit', typed: 'ref unit 4.99', volts: 4.99 },
      { lane: 'reference', place: 'connector', typed: 'ref conn 4.98', volts: 4.98 },
      { along: 'reference', typed: '4.97', volts: 4.97 },
    ],
    verdict: {
      cause: 'wire reference:second',
      note: 'Wire broken under the clip behind the cooling fan, 20 cm from the plug. The new sensor was never at fault.',
    },
  },
  {
    vehicle: 'Larch 1.6 crew van 7',
    sensor: 'Corvel MS-3 manifold pressure',
    complaint: 'Rough idle, drinks petrol, hesitates when pulling away.',
    codes: ['P0106'],
    history: 'A manifold pressure sensor is on order, not fitted yet.',
    openedHoursAgo: 27,
    ambient: { source: 'weather', seaLevelKpa: 101.9, altitudeM: 4 },
    readings: [
      { lane: 'reference', place: 'plug', typed: 'ref 5.01', volts: 5.01 },
      { lane: 'return', place: 'plug', typed: 'ret 11mV', volts: 0.011 },
      { lane: 'signal', place: 'plug', typed: 'sig 4.08', volts: 4.08 },
      { lane: 'signal', place: 'plug', typed: 'sig 2.26', volts: 2.26, engine: 'idle' },
      { typed: 'scan 55 kPa', scanKpaAbs: 55, engine: 'idle' },
      { tap: 'manifold', typed: 'gauge manifold 13.75 inHg vac', vacuumInHg: 13.75, engine: 'idle' },
    ],
    verdict: {
      cause: 'low-vacuum',
      note: 'Timing belt one tooth late. The sensor on order goes back.',
    },
  },
  {
    vehicle: 'Quill 1.4 pool car',
    sensor: 'MPX4250A absolute, 20–250 kPa',
    complaint:
      'Sluggish since it was lent to the reservoir crew at Highmoor. Live data “too low” with the key on.',
    codes: [],
    history: '',
    openedHoursAgo: 5,
    ambient: { source: 'altitude', altitudeM: 1200 },
    readings: [
      { lane: 'reference', place: 'plug', typed: 'ref plug 4.95', volts: 4.95 },
      { lane: 'signal', place: 'plug', typed: 'sig plug 1.54', volts: 1.54 },
      { lane: 'signal', place: 'plug', typed: 'sig plug 0.45', volts: 0.45, engine: 'idle' },
    ],
  },
  {
    vehicle: 'Reedcutter RC2 boat',
    sensor: 'Tern 2-bar manifold pressure',
    complaint: 'Black smoke and rich running at all speeds.',
    codes: ['P0106'],
    history: 'Hose to the sensor renewed last week, no change.',
    openedHoursAgo: 3,
    ambient: { source: 'barometer', stationKpaAbs: 101.2 },
    readings: [
      { lane: 'signal', place: 'plug', typed: 'sig plug 2.71', volts: 2.71 },
      { lane: 'reference', place: 'plug', typed: 'ref plug 4.99', volts: 4.99 },
      { lane: 'signal', place: 'plug', typed: 'sig plug 1.19', volts: 1.19, engine: 'idle' },
      { tap: 'sensor-hose', typed: 'gauge 20.0 inHg vac', vacuumInHg: 20, engine: 'idle' },
    ],
  },
  {
    vehicle: 'Tolland 95 tractor',
    sensor: 'Manifold pressure, 3.0 V less 0.1 V per inHg',
    complaint: 'Starts, runs for a minute, stalls. Worse in the wet.',
    codes: ['P0108'],
    history: 'Came in from the Thornby drain this morning.',
    openedHoursAgo: 1,
    readings: [],
  },
  {
    vehicle: 'Larch 1.6 crew van 3',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
    complaint: 'Drops to limp mode when pulling away, comes back after a restart.',
    codes: ['P2138'],
    history: 'Pedal replaced last year by a roadside service.',
    openedHoursAgo: 22,
    readings: [
      { lane: 'reference', place: 'plug', typed: 'ref 5.01', volts: 5.01 },
      { lane: 'return', place: 'plug', typed: 'ret 9mV', volts: 0.009 },
      { lane: 'second-reference', place: 'plug', typed: 'ref2 5.00', volts: 5 },
      { lane: 'second-return', place: 'plug', typed: 'ret2 8mV', volts: 0.008 },
      { lane: 'signal', place: 'plug', typed: 'sig 1.02', volts: 1.02 },
      { lane: 'second-signal', place: 'plug', typed: 'sig2 0.51', volts: 0.51 },
      { lane: 'signal', place: 'plug', typed: 'sig 4.38', volts: 4.38, stimulus: { kind: 'full-travel' } },
      {
        lane: 'second-signal',
        place: 'plug',
        typed: 'sig2 1.88',
        volts: 1.88,
        stimulus: { kind: 'full-travel' },
      },
    ],
  },
  {
    vehicle: 'Larch 1.6 crew van 5',
    sensor: 'Larch AP-2 pedal, half-ratio pair',
    complaint: 'Hesitates for a moment at one place of the pedal, never twice the same way.',
    codes: ['P2122'],
    history: '',
    openedHoursAgo: 6,
    readings: [
      { lane: 'reference', place: 'plug', typed: 'ref 5.00', volts: 5 },
      { lane: 'return', place: 'plug', typed: 'ret 7mV', volts: 0.007 },
      { lane: 'signal', place: 'plug', typed: 'sig 1.01', volts: 1.01 },
      { lane: 'second-signal', place: 'plug', typed: 'sig2 0.51', volts: 0.51 },
    ],
    sweep: { machineId: 'larch-pedal', caseLetter: 'A' },
  },
  {
    vehicle: 'Eastfen pump 2',
    displacementLitres: 6.8,
    sensor: 'Brill HF-5 air flow, hot element with air temperature',
    complaint: 'Surges when the sluice opens. Worse since the intake was rebuilt.',
    codes: ['P0171'],
    history: 'Flow meter exchanged with that of pump 1, no change.',
    openedHoursAgo: 2,
    ambient: { source: 'barometer', stationKpaAbs: 101.1, airCelsius: 18 },
    readings: [
      { lane: 'battery-feed', place: 'plug', typed: 'feed 12.4', volts: 12.4 },
      { lane: 'reference', place: 'plug', typed: 'ref 5.00', volts: 5 },
      { lane: 'return', place: 'plug', typed: 'ret 12mV', volts: 0.012 },
      { lane: 'second-signal', place: 'plug', typed: 'temp 2.86', volts: 2.86 },
      { lane: 'signal', place: 'plug', typed: 'sig 0.95', volts: 0.95 },
      { lane: 'signal', place: 'plug', typed: 'sig 1.64', volts: 1.64, engine: 'idle' },
      { typed: 'scan 3.41', flowGramsPerSecond: 3.41, engine: 'idle' },
    ],
  },
  {
    vehicle: 'Weir Lane crane engine',
    sensor: 'Sedge DP-100 filter differential',
    complaint: 'Asks for a filter cleaning every second day.',
    codes: ['P2452'],
    history: 'Filter cleaned off the machine, no change.',
    openedHoursAgo: 4,
    ambient: { source: 'vehicle', stationKpaAbs: 101 },
    readings: [
      { lane: 'reference', place: 'plug', typed: 'ref 4.99', volts: 4.99 },
      { lane: 'return', place: 'plug', typed: 'ret 8mV', volts: 0.008 },
      { lane: 'signal', place: 'plug', typed: 'sig 0.51', volts: 0.51 },
      ...[
        [0, 0.507],
        [25, 1.512],
        [50, 2.503],
        [75, 2.94],
        [100, 2.96],
      ].map(([kpaAboveAmbient = 0, volts = 0]) => ({
        lane: 'signal' as const,
        place: 'plug' as const,
        typed: String(volts),
        volts,
        stimulus: { kind: 'pump' as const, kpaAboveAmbient },
      })),
    ],
  },
  {
    vehicle: 'Brill P4 pump engine (simulated)',
    sensor: 'Corvel MS-3 manifold pressure',
    complaint: 'Practice case F: runs, but the workshop does not trust the manifold pressure.',
    codes: [],
    history: '',
    openedHoursAgo: 0.5,
    ambient: { source: 'barometer', stationKpaAbs: 100.9 },
    readings: [],
    practiceSeed: 20,
  },
];
