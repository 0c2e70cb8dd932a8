import type { Measurand } from '../quantity/measurands.ts';
import type { PressureUnit } from '../quantity/pressureUnits.ts';

/** A number with what it counts, as it is to be shown; its digits and the reader's unit are chosen where it is worded. */
export type Quantity =
  /** Millivolts where they are small. */
  | { readonly volts: number }
  /** As a meter shows them; OL past its last range. */
  | { readonly ohms: number }
  /** Kilopascals, in the reader's unit; vacuum is read in a unit of its own. */
  | { readonly kpa: number; readonly as?: 'fine' | 'vacuum' | undefined }
  /** In the one unit that the core keeps for it. */
  | { readonly value: number; readonly measures: Measurand; readonly as?: 'fine' | 'with-basis' | undefined }
  /** A factor: `2.4 times`. */
  | { readonly times: number }
  /** So many digits after the point, in a unit that is the same for every reader. */
  | { readonly fixed: number; readonly decimals: number; readonly unit?: FixedUnit | undefined }
  /** As many digits as it has. */
  | { readonly plain: number; readonly unit?: FixedUnit | undefined }
  /** A pressure in the unit that somebody chose for it, which stays. */
  | { readonly kpaIn: number; readonly unit: PressureUnit };

/** Units that are the same for every reader. */
export const FIXED_UNITS = [
  'V',
  'mV',
  'mA',
  'Ω',
  '%',
  '°C',
  '°',
  'K',
  'kPa',
  'm',
  's',
  'ms',
  'µs',
  'Hz',
  'rpm',
  'g/s',
  'MB',
  'GB',
  'kB',
] as const;
export type FixedUnit = (typeof FIXED_UNITS)[number];

/** Volts; shown in millivolts where they are small. */
export const volts = (value: number): Quantity => ({ volts: value });
/** Past every range of a meter; a number, since Infinity does not survive being written down. */
const OPEN_OHMS = 1e12;
/** Ohms; Infinity is OL. */
export const ohms = (value: number): Quantity => ({ ohms: Math.min(value, OPEN_OHMS) });
/** A factor. */
export const times = (factor: number): Quantity => ({ times: factor });
/** Kilopascals, shown in the reader's unit; `vacuum` in the unit that the reader has for it. */
export const pressure = (kpa: number, as?: 'fine' | 'vacuum'): Quantity => (as ? { kpa, as } : { kpa });
/** A value in the measurand's own unit. */
export const measured = (value: number, measures: Measurand, as?: 'fine' | 'with-basis'): Quantity =>
  as ? { value, measures, as } : { value, measures };
/** A number with as many digits as it has. */
export const plain = (value: number, unit?: FixedUnit): Quantity =>
  unit ? { plain: value, unit } : { plain: value };
/** A number with so many digits after the point. */
export const fixed = (value: number, decimals: number, unit?: FixedUnit): Quantity =>
  unit ? { fixed: value, decimals, unit } : { fixed: value, decimals };
