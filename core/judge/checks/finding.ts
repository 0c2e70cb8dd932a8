/** What was found, as a name that code may compare: what was asked, and what the readings answer. */
export type FindingCode =
  | `reference-${'at-plug' | 'at-unit' | 'unplugged'}=${'normal' | 'low' | 'missing' | 'high'}`
  | `return-at-${'plug' | 'unit'}=${'good' | 'raised' | 'floating'}`
  | `signal-koeo=${'as-expected' | 'shifted' | 'shifted-by-return' | 'shifted-perhaps-by-return' | 'low' | 'high'}`
  | `signal-follows=${'moves' | 'stuck'}`
  | `signal-unit-vs-plug=${'same' | 'differs'}`
  | `signal-unplugged=${'at-bias' | 'held-high' | 'held-low'}`
  | `live-vs-plug=${'agrees' | 'differs'}`
  | `sensor-vs-gauge-${'hose' | 'manifold'}=${'agree' | 'disagree' | 'disagree-by-return' | 'disagree-perhaps-by-return'}`
  | `vacuum-at-${'hose' | 'manifold'}=${'healthy' | 'low'}`;

/** What readings say, in plain words. */
export interface Finding {
  code: FindingCode;
  sentence: string;
  readingIds: readonly string[];
}

/** A reading that could not be used as it stands, and why. */
export interface Remark {
  sentence: string;
  readingIds: readonly string[];
}

export const finding = (code: FindingCode, sentence: string, readingIds: readonly string[]): Finding => ({
  code,
  sentence,
  readingIds,
});

/** Volts as a technician says them: millivolts where they are small. */
export function voltsInWords(volts: number): string {
  const size = Math.abs(volts);
  const words = size < 0.6 ? `${Math.round(size * 1000)} mV` : `${size.toFixed(2)} V`;
  return volts < 0 && /[1-9]/u.test(words) ? `−${words}` : words;
}
