/** What can be wrong with a simulated machine. Practice cases name them by letter only, so that they stay hidden. */
export const HIDDEN_FAULTS = [
  'signal-open',
  'none',
  'sensor-stuck',
  'reference-open',
  'low-vacuum',
  'return-high-resistance',
  'sensor-offset',
  'signal-short-to-reference',
] as const;
export type HiddenFault = (typeof HIDDEN_FAULTS)[number];

export const CASE_LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;
export type CaseLetter = (typeof CASE_LETTERS)[number];

export const faultOfCase = (letter: CaseLetter): HiddenFault =>
  HIDDEN_FAULTS[CASE_LETTERS.indexOf(letter)] as HiddenFault;

/** Told after the verdict is recorded. */
export const FAULT_WORDS: Record<HiddenFault, string> = {
  'signal-open': 'The signal wire was open.',
  none: 'Nothing was wrong.',
  'sensor-stuck': 'The sensor was stuck at one value.',
  'reference-open': 'The reference wire was open.',
  'low-vacuum': 'The engine’s vacuum really was low; the sensor was honest.',
  'return-high-resistance': 'The return wire had a high resistance.',
  'sensor-offset': 'The sensor read shifted.',
  'signal-short-to-reference': 'The signal wire touched the reference wire.',
};
