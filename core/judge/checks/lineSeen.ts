import { arePulses, isSent } from '../../measure/transfer/index.ts';
import type { CaseFile } from './caseFile.ts';

/**
 * What a fast capture showed of the signal: telegrams that can be read, a steady frequency, a line that goes to and fro and says
 * nothing, or one that stands at one voltage.
 */
export const LINE_SEEN = ['telegrams', 'pulses', 'garbled', 'line-held'] as const;
export type LineSeen = (typeof LINE_SEEN)[number];

/** What tells a part that sends from one that gives a voltage: noise alone may look garbled. */
const TELLS_OF_PART: readonly LineSeen[] = ['telegrams', 'pulses', 'line-held'];

/**
 * Of all captures, and of a meter that counts, together: once something arrived, the part is one that sends it. Where that is known,
 * the newest capture tells whether it arrives now. Undefined where none was fast enough.
 */
export function lineSeen({
  sweeps,
  isolation,
  profile,
}: Pick<CaseFile, 'sweeps' | 'isolation' | 'profile'>): LineSeen | undefined {
  const shown = sweeps
    .filter(({ uses }) => uses.includes('signal'))
    .flatMap(({ findings, uses }) => findings.filter(({ channel }) => uses[channel] === 'signal'))
    .flatMap(({ kind }) => LINE_SEEN.find((seen) => seen === kind) ?? []);
  if (isSent(profile)) return shown.at(-1);
  // A meter that counts tells of a part that should give a voltage; of one that sends pulses its figures are weighed by themselves.
  const counted = isolation.some((one) => one.kind === 'frequency' && arePulses(one.kind, one.hertz));
  return TELLS_OF_PART.find((seen) => shown.includes(seen) || (counted && seen === 'pulses'));
}
