import type { CheckId, OutcomeOf } from './checks.ts';

/** What readings say to one check, in plain words. */
export interface Finding {
  check: CheckId;
  /** More than one where the readings do not tell the answers apart. */
  outcomes: readonly string[];
  sentence: string;
  readingIds: readonly string[];
}

/** A reading that could not be used as it stands, and why. */
export interface Remark {
  sentence: string;
  readingIds: readonly string[];
}

export const finding = <Id extends CheckId>(
  check: Id,
  outcomes: readonly OutcomeOf<Id>[],
  sentence: string,
  readingIds: readonly string[],
): Finding => ({ check, outcomes, sentence, readingIds });

/** Volts as a technician says them: millivolts where they are small. */
export function voltsInWords(volts: number): string {
  const size = Math.abs(volts);
  const words = size < 0.6 ? `${Math.round(size * 1000)} mV` : `${size.toFixed(2)} V`;
  return volts < 0 && /[1-9]/u.test(words) ? `−${words}` : words;
}
