import {
  barometerDisplay,
  gaugeDisplay,
  liveData,
  MACHINES,
  meterDisplay,
  simulatedMachine,
  surroundingsOf,
  type BenchMachine,
  type SimulatedMachine,
} from '@lettura/bench';
import { isPlain, keyOn, type AnyEvidence, type Lane, type MachineState } from '@lettura/core/evidence';
import { FAULT_KINDS, faultOf, type Fault } from '@lettura/core/fault';
import { ambientFrom } from '@lettura/core/quantity';
import type { CaseFile } from '@lettura/core/reasoning';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '@lettura/core/uncertainty';
import { KIND_PRIORS, NOTHING_PRIOR, posterior, Weigher } from '@lettura/core/weighing';

export interface DiagnosisFigures {
  cases: number;
  classRight: number;
  placeRight: number;
  /** Of cases in which the leading class has at least nine tenths of the weight. */
  sureCases: number;
  sureRight: number;
  /** Mean squared distance of the classes' shares from what was true. */
  brier: number;
  /** Mean distance between the share of the leading class and how often it is right. */
  calibrationError: number;
  millisecondsACase: number;
}

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const UNPLUGGED: MachineState = { engine: 'koeo', plug: 'unplugged' };
const MOVED: Partial<Record<string, MachineState>> = {
  throttle: { ...KOEO, stimulus: { kind: 'full-travel' } },
  pedal: { ...KOEO, stimulus: { kind: 'full-travel' } },
  flap: { ...KOEO, stimulus: { kind: 'full-travel' } },
  'exhaust-flow-differential': { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } },
};
const ENGINE_IDLES: MachineState = { engine: 'idle', plug: 'connected' };

/** A random fault: its kind by how common it is, its site and size evenly. */
function randomFault(machine: BenchMachine, random: () => number): Fault | undefined {
  const subject = { family: machine.sensor.family, wiring: machine.wiring };
  const kinds = FAULT_KINDS.map((kind) => ({ kind, sites: kind.sites(subject) })).filter(
    // A dead spot is looked for in a recording, and a machine of telegrams has no digital part to be fitted by mistake.
    ({ kind, sites }) => sites.length > 0 && kind.id !== 'dead-spot',
  );
  const total = kinds.reduce((sum, { kind }) => sum + (KIND_PRIORS[kind.id] ?? 1), NOTHING_PRIOR);
  let at = random() * total - NOTHING_PRIOR;
  if (at < 0) return undefined;
  for (const { kind, sites } of kinds) {
    at -= KIND_PRIORS[kind.id] ?? 1;
    if (at < 0) return faultOf(kind, sites[Math.floor(random() * sites.length)]!, random());
  }
  return undefined;
}

/** The readings that a textbook order takes, whatever they show. */
function textbookReadings(machine: SimulatedMachine, seed: number): AnyEvidence[] {
  const { wiring, sensor } = machine.machine;
  const readings: AnyEvidence[] = [];
  let tick = 0;
  const has = (lane: Lane) => wiring.wires.some(({ wire }) => wire === lane);
  const volts = (lane: Lane, place: 'unit' | 'plug', state: MachineState) => {
    if (!has(lane)) return;
    const trueVolts = machine.voltsBetween({ lane, place }, 'battery-negative', state);
    readings.push({
      kind: 'wire',
      id: String(++tick),
      lane,
      place,
      state,
      volts: meterDisplay(trueVolts, seed, tick).volts,
    });
  };
  const scan = (state: MachineState) => {
    const shown = keyOn(state) ? liveData(machine, state) : undefined;
    if (shown)
      readings.push({
        kind: 'scan',
        id: String(++tick),
        measures: sensor.profile.measures,
        value: shown.value,
        state,
      });
  };
  const moved = MOVED[sensor.family] ?? ENGINE_IDLES;
  for (const lane of [
    'reference',
    'battery-feed',
    'return',
    'signal',
    'second-signal',
    'second-reference',
  ] as const)
    volts(lane, 'plug', KOEO);
  for (const lane of ['reference', 'return', 'signal', 'second-signal'] as const) volts(lane, 'unit', KOEO);
  scan(KOEO);
  for (const lane of ['reference', 'signal'] as const) volts(lane, 'plug', UNPLUGGED);
  volts('signal', 'plug', moved);
  volts('second-signal', 'plug', moved);
  scan(moved);
  const gauge = gaugeDisplay(machine, moved, 'manifold', seed);
  if (gauge)
    readings.push({
      kind: 'gauge',
      id: String(++tick),
      tap: 'manifold',
      pressureKpa: gauge.pressureKpa,
      basis: gauge.basis === 'differential' ? 'gauge' : gauge.basis,
      state: moved,
    });
  return readings;
}

/** Machines of every family with random faults, read in a fixed order, weighed once. */
export function diagnosisFigures(casesAMachine: number, seed = 1): DiagnosisFigures {
  let state = seed;
  const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
  const totals = { cases: 0, classRight: 0, placeRight: 0, sureCases: 0, sureRight: 0, brier: 0, ms: 0 };
  const bins = Array.from({ length: 10 }, () => ({ count: 0, share: 0, right: 0 }));
  for (const machine of MACHINES.filter(({ telegrams }) => !telegrams)) {
    for (let i = 0; i < casesAMachine; i++) {
      const fault = randomFault(machine, random);
      const surroundings = surroundingsOf(machine, random);
      const one = simulatedMachine(machine, fault ? [fault] : [], surroundings);
      const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: barometerDisplay(one) });
      const readings = textbookReadings(one, Math.floor(random() * 1e9));
      const { family, profile, companion } = machine.sensor;
      const caseFile: CaseFile = {
        family,
        profile,
        companion,
        ambient: ambient.ok ? ambient.value : undefined,
        readings: readings.filter(isPlain),
        isolation: [],
        sweeps: [],
        displacementLitres: machine.litres,
        meter: COMMON_METER,
        gauge: COMMON_VACUUM_GAUGE,
        pressureUnit: 'kPa',
      };
      const start = performance.now();
      const weigher = new Weigher(
        caseFile,
        machine.wiring.wires.map(({ wire }) => wire),
      );
      const found = posterior(weigher.caseOf(caseFile));
      totals.ms += performance.now() - start;
      const shares = new Map<string, number>();
      for (const { hypothesis, share } of found)
        shares.set(hypothesis.class, (shares.get(hypothesis.class) ?? 0) + share);
      const truth = fault?.kind.class ?? 'nothing';
      const [leader, share] = [...shares].reduce((a, b) => (b[1] > a[1] ? b : a));
      totals.cases++;
      if (leader === truth) totals.classRight++;
      if (found[0]!.hypothesis.id === (fault ? `${fault.kind.id} ${fault.site.id}` : 'nothing'))
        totals.placeRight++;
      if (share >= 0.9) {
        totals.sureCases++;
        if (leader === truth) totals.sureRight++;
      }
      for (const [name, of] of shares) totals.brier += (of - (name === truth ? 1 : 0)) ** 2;
      const bin = bins[Math.min(9, Math.floor(10 * share))]!;
      bin.count++;
      bin.share += share;
      if (leader === truth) bin.right++;
    }
  }
  return {
    ...totals,
    brier: totals.brier / totals.cases,
    calibrationError: bins.reduce((sum, { share, right }) => sum + Math.abs(share - right), 0) / totals.cases,
    millisecondsACase: totals.ms / totals.cases,
  };
}
