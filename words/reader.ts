import type { PressureUnit } from '@lettura/core/measure/quantity';
import type { Language } from './languages.ts';

/** Who reads: the language with its habit of numbers, and the unit of pressures. */
export interface Reader {
  language: Language;
  pressureUnit: PressureUnit;
  /** Of vacuum, where it is another one. */
  vacuumUnit?: PressureUnit;
}

export const ENGLISH: Reader = { language: 'en', pressureUnit: 'kPa' };
