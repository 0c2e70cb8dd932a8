import type { Measurand, PressureUnit } from '../quantity/index.ts';

/** A number with what it counts, as it is to be shown; its digits and the reader's unit are chosen where it is worded. */
export type Quantity =
  /** Millivolts where they are small. */
  | { readonly volts: number }
  /** As a meter shows them; OL past its last range. */
  | { readonly ohms: number }
  /** Kilopascals, in the reader's unit. */
  | { readonly kpa: number; readonly as?: 'fine' | undefined }
  /** In the one unit that the core keeps for it. */
  | { readonly value: number; readonly measures: Measurand; readonly as?: 'fine' | 'with-basis' | undefined }
  /** A factor: `2.4 times`. */
  | { readonly times: number }
  /** So many digits after the point, in a unit that is the same for every reader. */
  | { readonly fixed: number; readonly decimals: number; readonly unit?: FixedUnit | undefined }
  /** A pressure in the unit that somebody chose for it, which stays. */
  | { readonly kpaIn: number; readonly unit: PressureUnit };

export type FixedUnit =
  | 'V' | 'mV' | 'mA' | 'Ω' | '%' | '°C' | '°' | 'K' | 'kPa' | 'm' | 's' | 'ms' | 'Hz' | 'rpm' | 'g/s';

export const volts = (value: number): Quantity => ({ volts: value });
export const ohms = (value: number): Quantity => ({ ohms: value });
export const times = (factor: number): Quantity => ({ times: factor });
export const pressure = (kpa: number, as?: 'fine'): Quantity => (as ? { kpa, as } : { kpa });
export const measured = (value: number, measures: Measurand, as?: 'fine' | 'with-basis'): Quantity =>
  as ? { value, measures, as } : { value, measures };
export const fixed = (value: number, decimals: number, unit?: FixedUnit): Quantity =>
  unit ? { fixed: value, decimals, unit } : { fixed: value, decimals };
