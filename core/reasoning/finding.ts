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
export const voltsInWords = (volts: number): string =>
  Math.abs(volts) < 0.6 ? `${Math.round(volts * 1000)} mV` : `${volts.toFixed(2)} V`;
