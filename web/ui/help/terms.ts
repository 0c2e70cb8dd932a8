/** Words of the trade that are explained wherever they stand. */
export const TERM_IDS = [
  'reference',
  'signal',
  'return',
  'shared-rail',
  'back-probe',
  'plug-off',
  'pull',
  'drop',
  'ghost',
  'wiggle',
  'koeo',
  'live-data',
  'code-kept',
  'readiness',
  'freeze-frame',
  'telegram',
  'pressure-basis',
  'pair',
  'doubt',
  'en',
] as const;
export type TermId = (typeof TERM_IDS)[number];

/** Keys that act, by what they are called on the keyboard. */
export const SHORTCUTS = [
  { keys: '0 – 9', does: 'help.key-digits' },
  { keys: 'Alt + N', does: 'help.key-next' },
  { keys: 'Alt + Z', does: 'help.key-undo' },
  { keys: 'Alt + 1 – 6', does: 'help.key-activity' },
  { keys: 'R, M', does: 'help.key-recorder' },
  { keys: '?', does: 'help.key-help' },
] as const;
