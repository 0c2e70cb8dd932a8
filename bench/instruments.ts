import { keyOn, type MachineState } from '@lettura/core/evidence';
import { fromKpa, toKpa } from '@lettura/core/quantity';
import { valueFromSignal, signalBand } from '@lettura/core/transfer';
import { COMMON_METER, COMMON_VACUUM_GAUGE, meterLimitVolts, SCAN_STEP_KPA } from '@lettura/core/uncertainty';
import { BRILL_P4 } from './machines/brillP4.ts';
import { normalDeviate, seededRandom } from './random.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** What stands on a display, letter for letter, and what it is worth. */
export interface MeterDisplay {
  text: string;
  unit: 'mV' | 'V';
  volts: number;
}

/** An auto-ranging meter: below 600 mV it changes to millivolts, as a real one does, and the unit is the small print. */
export function meterDisplay(trueVolts: number, seed: number, tick: number): MeterDisplay {
  const gainError = seededRandom(seed)() - 0.5; // this meter's own, inside its stated limits
  const noise = normalDeviate(seededRandom(seed + tick * 7919)) * 0.0004;
  const volts = trueVolts + gainError * meterLimitVolts(trueVolts, COMMON_METER.accuracy) + noise;
  if (Math.abs(volts) < 0.6) {
    const millivolts = Math.round(volts * 10_000) / 10;
    return { text: millivolts.toFixed(1), unit: 'mV', volts: millivolts / 1000 };
  }
  const decimals = Math.abs(volts) < 6 ? 3 : 2;
  const text = volts.toFixed(decimals);
  return { text, unit: 'V', volts: Number(text) };
}

/** A mechanical vacuum gauge in inHg: an error inside its class, a needle read to half a division. */
export function gaugeDisplay(
  machine: SimulatedMachine,
  state: MachineState,
  seed: number,
): { vacuumInHg: number; pressureKpa: number } {
  const { classPercent, spanKpa, divisionKpa } = COMMON_VACUUM_GAUGE.accuracy;
  const errorKpa = (seededRandom(seed + 1)() - 0.5) * (classPercent / 100) * spanKpa;
  const vacuumKpa = machine.ambientKpaAbs - machine.manifoldKpaAbs(state) + errorKpa;
  const halfDivision = fromKpa(divisionKpa, 'inHg') / 2;
  const vacuumInHg = Math.max(0, Math.round(fromKpa(vacuumKpa, 'inHg') / halfDivision) * halfDivision);
  return { vacuumInHg, pressureKpa: toKpa(vacuumInHg, 'inHg') };
}

/** Live data: the unit's own belief in steps of 1 kPa, or a substituted value past a circuit limit. */
export function liveDataDisplay(
  machine: SimulatedMachine,
  state: MachineState,
): { pressureKpaAbs: number; code: 'P0107' | 'P0108' | undefined } | undefined {
  if (!keyOn(state)) return undefined;
  const { profile } = BRILL_P4.sensor;
  const volts = machine.unitInputVolts(state);
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  // SAE J2012: P0107 is manifold pressure circuit low, P0108 circuit high.
  if (band === 'circuit-low') return { pressureKpaAbs: BRILL_P4.substitutedKpaAbs, code: 'P0107' };
  if (band === 'circuit-high') return { pressureKpaAbs: BRILL_P4.substitutedKpaAbs, code: 'P0108' };
  const wires = { signalVolts: volts, referenceVolts: profile.nominalReferenceVolts, returnVolts: 0 };
  const pressure = valueFromSignal(wires, profile);
  if (!pressure.ok) throw new Error('The nominal reference is always enough to convert with.');
  const steps = Math.round(pressure.value.value / SCAN_STEP_KPA);
  return { pressureKpaAbs: Math.max(0, steps * SCAN_STEP_KPA), code: undefined };
}

export const barometerDisplay = (machine: SimulatedMachine): number =>
  Math.round(machine.ambientKpaAbs * 10) / 10;
