import { RECEIVED_VOLTS } from '@lettura/core/machine/limits';
import { LIVE_VOLTS_STEP } from '@lettura/core/measure/uncertainty';
import { keyOn, type MachineState, type SignalLane } from '@lettura/core/machine/places';
import { liveDataStep } from '@lettura/core/machine/family';
import { isComplainedOf, limitsOf, pairSeen } from '@lettura/core/record/code';
import { signalBand, valueAtNominal } from '@lettura/core/measure/transfer';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** What the control unit believes, and what it complains of. */
export interface LiveData {
  /** In the measurand's unit, in the steps of the standard. */
  value: number;
  /** The unit lost the signal and shows this instead. */
  substituted: boolean;
  codes: readonly string[];
}

/** Undefined with the key off: nobody answers. */
export function liveData(machine: SimulatedMachine, state: MachineState): LiveData | undefined {
  if (!keyOn(state)) return undefined;
  if (machine.machine.telegrams) return telegramData(machine, state);
  const { sensor, substituted, codes, wiring, referenceCode, pairCode } = machine.machine;
  const { profile, companion } = sensor;
  const volts = machine.unitReadsVolts('signal', state);
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  const found: string[] = [];
  if (band === 'circuit-low') found.push(codes.signal?.low ?? '');
  if (band === 'circuit-high') found.push(codes.signal?.high ?? '');
  const second = codes['second-signal'];
  if (second) {
    const secondVolts = machine.unitReadsVolts('second-signal', state);
    const limits = limitsOf('second-signal', profile, companion);
    if (isComplainedOf({ reads: 'low' }, secondVolts, limits)) found.push(second.low);
    if (isComplainedOf({ reads: 'high' }, secondVolts, limits)) found.push(second.high);
    const deviation = pairSeen(volts, secondVolts, wiring.unitVolts, companion);
    if (pairCode && isComplainedOf({ reads: 'off' }, deviation, limitsOf('pair', profile, companion)))
      found.push(pairCode);
  }
  if (referenceCode) {
    const limits = limitsOf('supply', profile, companion);
    if (
      wiring.rails.some((_, rail) =>
        isComplainedOf({ reads: 'off' }, machine.unitRailVolts(rail, state), limits),
      )
    )
      found.push(referenceCode);
  }
  const lost = band === 'circuit-low' || band === 'circuit-high';
  return {
    value: lost ? substituted : believed(volts, machine),
    substituted: lost,
    codes: found.filter((code) => code !== ''),
  };
}

/** What it shows of an input in volts, in steps of one byte; undefined with the key off. */
export function liveVolts(
  machine: SimulatedMachine,
  lane: SignalLane,
  state: MachineState,
): number | undefined {
  if (!keyOn(state)) return undefined;
  const shown = Math.round(machine.unitReadsVolts(lane, state) / LIVE_VOLTS_STEP) * LIVE_VOLTS_STEP;
  return Number(Math.min(5, Math.max(0, shown)).toFixed(2));
}

/** A line held between these is neither at rest nor shorted: somebody feeds a voltage in. */
const HELD_VOLTS = [0.6, 4.4] as const;

/** A digital line gives the value itself, or nothing: its voltage says only whether telegrams can arrive. */
function telegramData(machine: SimulatedMachine, state: MachineState): LiveData {
  const { telegrams, substituted, sensor } = machine.machine;
  const [down, up] = machine.telegramLevels(state);
  if (down < RECEIVED_VOLTS.downBelow && up > RECEIVED_VOLTS.upAbove) {
    const step = liveDataStep(sensor.family, sensor.profile.measures);
    return {
      value: Math.round(machine.quantity(state, 'sensor') / step) * step,
      substituted: false,
      codes: [],
    };
  }
  const held = down > HELD_VOLTS[0] && up < HELD_VOLTS[1];
  const codes = [telegrams?.missingCode, ...(held ? [telegrams?.heldCode] : [])].filter(
    (code) => code !== undefined,
  );
  return { value: substituted, substituted: true, codes };
}

function believed(volts: number, { machine: { sensor } }: SimulatedMachine): number {
  const { profile, family } = sensor;
  const step = liveDataStep(family, profile.measures);
  const value = Math.round(valueAtNominal(volts, profile) / step) * step;
  return profile.measures === 'differential-pressure' ? value : Math.max(0, value);
}
