import type { PressureUnit } from '@lettura/core/measure/quantity';

/** Languages that there is a catalogue for; the last is made by a script, to see what is not worded yet. */
export const LANGUAGES = ['en', 'en-XA'] as const;
export type Language = (typeof LANGUAGES)[number];

/** Who reads: the language with its habit of numbers, and the unit of pressures. */
export interface Reader {
  language: Language;
  pressureUnit: PressureUnit;
  /** Of vacuum, where it is another one. */
  vacuumUnit?: PressureUnit;
}

const LOCALES: Record<Language, string> = { en: 'en-GB', 'en-XA': 'en-GB' };
/** For numbers and dates; the made-up language keeps those of English. */
export const localeOf = (language: Language): string => LOCALES[language];

export const ENGLISH: Reader = { language: 'en', pressureUnit: 'kPa' };
