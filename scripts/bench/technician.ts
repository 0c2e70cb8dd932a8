import {
  engineFlow,
  gaugeDisplay,
  liveData,
  liveVolts,
  looksRight,
  meterDisplay,
  recordSweep,
  type BenchMachine,
  type SimulatedMachine,
} from '@lettura/bench';
import { keyOn, type MachineState } from '@lettura/core/machine/places';
import type { ObservationId, ObservationMade } from '@lettura/core/record/observation';
import { drivenStates, MISTAKEN_SHARE, type Candidate } from '@lettura/core/judge/weighing';
import type { Taken } from './patient.ts';

/** Takes a reading as a technician would: with the noise of the instrument, and now and then a slipped probe. */
export function read(
  machine: SimulatedMachine,
  { target, state }: Candidate,
  tick: number,
  seed: number,
  random: () => number,
): Taken | undefined {
  const { wiring, sensor } = machine.machine;
  const slips = random() < MISTAKEN_SHARE;
  const other = random();
  const id = String(tick);
  switch (target.kind) {
    case 'wire': {
      const wires = wiring.wires.map(({ wire }) => wire);
      const lane = slips ? wires[Math.floor(other * wires.length)]! : target.lane;
      const volts = machine.voltsBetween(
        { lane, place: target.place },
        'battery-negative',
        onMachine(state, wiring),
      );
      return {
        kind: 'wire',
        id,
        lane: target.lane,
        place: target.place,
        state,
        volts: meterDisplay(volts, seed, tick).volts,
      };
    }
    case 'between': {
      const volts = slips ? 5 * other : machine.voltsBetween(target.from, target.to, state);
      return { ...target, kind: 'between', id, state, volts: meterDisplay(volts, seed, tick).volts };
    }
    case 'ohms': {
      const ohms = slips ? 10 ** (7 * other) : machine.ohmsBetween(target.from, target.to, state);
      return { ...target, kind: 'ohms', id, state, ohms: ohms === Infinity ? null : ohms };
    }
    case 'engine-flow': {
      const shown = engineFlow(machine, state);
      // A figure misread.
      return shown && { ...shown, id, ...(slips ? { manifoldKpaAbs: 20 + 80 * other } : {}) };
    }
    case 'observation':
      return look(machine, target.observation, random);
    case 'sweep':
      return recordSweep(machine, { engine: 'koeo', plug: 'connected' }, seed);
    case 'capture':
    case 'frequency':
    case 'duty':
      // None of these machines sends its value.
      return undefined;
    case 'scan': {
      const shown = keyOn(state) ? liveData(machine, state) : undefined;
      const { measures, lowest, highest } = sensor.profile;
      const value = slips ? lowest + other * (highest - lowest) : shown?.value;
      return value === undefined ? undefined : { kind: 'scan', id, measures, value, state };
    }
    case 'live-volts': {
      const shown = liveVolts(machine, target.lane, state);
      const volts = slips ? 5 * other : shown;
      return volts === undefined ? undefined : { ...target, id, state, volts };
    }
    case 'gauge': {
      const gauge = gaugeDisplay(machine, state, target.tap, seed);
      if (!gauge) return undefined;
      const basis = gauge.basis === 'differential' ? 'gauge' : gauge.basis;
      const pressureKpa = slips ? other * 80 : gauge.pressureKpa;
      return { kind: 'gauge', id, tap: target.tap, pressureKpa, basis, state };
    }
  }
}

/** Of the codes that the machine sets at rest and moved, those that somebody wrote down; now and then one of another day. */
export function codesNoted(machine: SimulatedMachine, random: () => number): string[] {
  const { sensor, codes } = machine.machine;
  const set = drivenStates(sensor).flatMap((state) => liveData(machine, state)?.codes ?? []);
  const old = Object.values(codes).flatMap(({ low, high }) => [low, high]);
  return [
    ...[...new Set(set)].filter(() => random() < CODE_NOTED),
    ...old.filter(() => random() < OLD_CODE / old.length),
  ];
}
const CODE_NOTED = 0.85;
const OLD_CODE = 0.06;

/** A look finds most of what is there to be seen, and now and then what is not. */
const LOOK_FINDS = 0.9;
const LOOK_IMAGINES = 0.03;

function look(machine: SimulatedMachine, observation: ObservationId, random: () => number): ObservationMade {
  const there = !looksRight(machine, observation);
  return { id: observation, observation, holds: random() >= (there ? LOOK_FINDS : LOOK_IMAGINES) };
}

/** Whoever unplugs the neighbours unplugs all that this machine has. */
const onMachine = (state: MachineState, { rails }: BenchMachine['wiring']): MachineState =>
  state.harness
    ? {
        ...state,
        harness: {
          ...state.harness,
          neighboursOff: rails.flatMap((rail) => rail.neighbourOhms).map((_, i) => i),
        },
      }
    : state;
