import { keyOn, type MachineState, type ProbePoint } from '@lettura/core/machine/places';
import { LIVE_CIRCUIT } from '@lettura/core/machine/rig';
import { COMMON_METER, meterLimitVolts } from '@lettura/core/measure/uncertainty';
import { normalDeviate, seededRandom } from './random.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';
import { say, type Message } from '@lettura/core/measure/message';

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

/** What an ohmmeter shows; OL past its last range. */
export interface OhmsDisplay {
  text: string;
  unit: 'Ω' | 'kΩ' | 'MΩ' | '';
  /** Undefined for OL. */
  ohms: number | undefined;
  /** Below the threshold of the beep: which says nothing about what the wire drops under load. */
  beeps: boolean;
  /** Said where the number is nonsense, because something else drives the circuit. */
  warning?: Message;
}

/** Of its own leads, which nobody zeroes. */
const LEAD_OHMS = 0.2;
const MOST_OHMS = 4e7;
/** Common practice: from 20 to 50 Ω, by make. A return of 5 Ω passes. */
const BEEP_OHMS = 30;

export function ohmsDisplay(
  machine: SimulatedMachine,
  red: ProbePoint,
  black: ProbePoint,
  state: MachineState,
): OhmsDisplay {
  const between = machine.ohmsBetween(red, black, state);
  const live = keyOn(state) || between === LIVE_CIRCUIT;
  // What a real meter shows then depends on its make: this one gives up.
  const shown = between === LIVE_CIRCUIT ? Infinity : between + LEAD_OHMS;
  const warning = live ? { warning: say('bench.live-circuit') } : {};
  if (!(shown < MOST_OHMS)) return { text: 'OL', unit: '', ohms: undefined, beeps: false, ...warning };
  const [scale, unit] =
    shown < 1000 ? ([1, 'Ω'] as const) : shown < 1e6 ? ([1e3, 'kΩ'] as const) : ([1e6, 'MΩ'] as const);
  const text = (shown / scale).toFixed(unit === 'Ω' ? 1 : 3);
  return { text, unit, ohms: Number(text) * scale, beeps: shown < BEEP_OHMS, ...warning };
}
