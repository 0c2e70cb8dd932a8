import type { Measurand } from '../../measure/quantity/index.ts';
import type { Lane } from '../places/index.ts';

/**
 * What a sound unit and a sound wire give: the one set of limits. Lanes, gate, expectations, comparisons and isolation read it
 * here, so that one reading is not good in one place and suspect in another. All are common practice, in volts against battery
 * negative unless they say otherwise; the doubt of the meter comes on top where a reading is judged.
 */

/** The reference is normal within this of its nominal value; an unread one is taken to be. */
export const REFERENCE_TOLERANCE_VOLTS = 0.1;
/** Below this a reference is not low, but not there. */
export const MISSING_REFERENCE_VOLTS = 0.5;
/** A return stays this near to battery negative under load, and loses no more over one stretch of wire. */
export const NORMAL_RETURN_VOLTS = 0.05;
/** The return of a hot element carries what it takes from the battery: a powered part's ground may lose this much. */
const HEATED_RETURN_VOLTS = 0.1;
/** A return this high is no drop any more: the sensor hangs on its reference alone. */
export const FLOATING_RETURN_VOLTS = 1;
/** With the key off nothing feeds a wire: what a meter picks up all the same. */
export const UNFED_VOLTS = 0.05;
/** Two readings of one wire in one state: what unit and ground may add between them; a break adds far more. */
export const SAME_WIRE_VOLTS = 0.05;
/** Battery voltage at a loaded feed. Above it the wire is sound, and the battery or its charging is not. */
export const FEED_VOLTS = {
  stopped: { lowest: 11, highest: 13.2 },
  /** Below that a 12 V battery or its starter is looked at first (common practice). */
  cranking: { lowest: 9.6, highest: 12.9 },
  running: { lowest: 12, highest: 15.5 },
} as const;
/** Where an open input goes, off the reference and off ground: by the unit's pull-up, by that of a thermistor, by its pull-down. */
export const OPEN_INPUT_VOLTS = {
  'pull-up': { lowest: -0.5, highest: 0.1 },
  thermistor: { lowest: -0.2, highest: 0.1 },
  'pull-down': { lowest: -0.05, highest: 0.3 },
} as const;

/** How far from battery negative the return of a sensor stays under load, by what it measures. */
export const soundReturnVolts = (measures: Measurand): number =>
  measures === 'air-flow' ? HEATED_RETURN_VOLTS : NORMAL_RETURN_VOLTS;

/** Less than this between down and up of a captured line is no toggling, whatever the noise. */
export const LEAST_SWING_VOLTS = 1;
/** What the receiver of a digital line takes for down, and for up (SAE J2716, from memory). */
export const RECEIVED_VOLTS = { downBelow: 1.39, upAbove: 3.8 } as const;
/**
 * For what share of the time a line is up that a value is sent on. A pulse of a telegram lasts 12 to 27 ticks, of which it is down for a
 * few, and a pause between telegrams is up or there is none (SAE J2716, from memory; widened for senders that stay down longer); a duty
 * may be any.
 */
export const UP_SHARE = {
  telegrams: { lowest: 0.35, highest: 0.9 },
  pulses: { lowest: 0.05, highest: 0.95 },
} as const;

/** A stretch of wire with two contacts, leads of the meter included. */
export const SOUND_STRETCH_OHMS = 2;
/**
 * Less than this from a supply's wire to ground, with nothing powered, is a short: what sits on a supply, in sensors and in the
 * unit, has some hundred ohms and more.
 */
export const GROUNDED_OHMS = 100;
/** More than this in one stretch is no wire any more; a return of 5 Ω passes any beep and still counts. */
export const OPEN_STRETCH_OHMS = 1000;

/** How far a faulty supply may go while its sensor still gives a signal: what an unread wire may explain. */
export const CONCEIVABLE_RETURN_VOLTS = { lowest: -0.1, highest: 1 } as const;
/** As a share of the nominal reference; below the lowest a stage gives nothing, above the highest the unit is at fault. */
export const CONCEIVABLE_REFERENCE_SHARE = { lowest: 0.6, highest: 1.1 } as const;

export interface VoltBand {
  lowest: number;
  highest: number;
}

/**
 * What a wire that supplies the sensor carries with the key on, in volts; undefined for one whose voltage is not fixed: a signal,
 * a motor wire.
 */
export function soundSupply(
  lane: Lane,
  {
    profile: { nominalReferenceVolts, measures },
    battery,
  }: {
    profile: { nominalReferenceVolts: number; measures: Measurand };
    battery: keyof typeof FEED_VOLTS;
  },
): VoltBand | undefined {
  switch (lane) {
    case 'reference':
    case 'second-reference':
      return {
        lowest: nominalReferenceVolts - REFERENCE_TOLERANCE_VOLTS,
        highest: nominalReferenceVolts + REFERENCE_TOLERANCE_VOLTS,
      };
    case 'return':
    case 'second-return':
      return { lowest: -soundReturnVolts(measures), highest: soundReturnVolts(measures) };
    case 'battery-feed':
      return FEED_VOLTS[battery];
    case 'signal':
    case 'second-signal':
    case 'motor-plus':
    case 'motor-minus':
      return undefined;
  }
}
