import { ohms as ofOhms, times, volts as ofVolts } from '@lettura/core/measure/message';
import { enSaid } from '@lettura/core/measure/uncertainty';
import { LANGUAGE } from './language.ts';
import { said } from './words.ts';
import { quantityWords, wordsFor } from '@lettura/words';

/** Quantities that are written alike in every unit of pressure. */
const reader = { language: LANGUAGE, pressureUnit: 'kPa' } as const;

export const voltsInWords = (volts: number): string => quantityWords(ofVolts(volts), reader);
export const ohmsInWords = (ohms: number): string => quantityWords(ofOhms(ohms), reader);
export const timesInWords = (factor: number): string => wordsFor(reader).value(times(factor));
export function enInWords(en: number): string {
  const shown = enSaid(en);
  return 'code' in shown ? said(shown) : quantityWords(shown, reader);
}
