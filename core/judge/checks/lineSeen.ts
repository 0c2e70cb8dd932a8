import { sendsTelegrams } from '../../measure/transfer/index.ts';
import type { CaseFile } from './caseFile.ts';

/** What a capture fast enough for telegrams showed of the signal: that they arrive, or that the line stands at one voltage. */
const LINE_SEEN = ['telegrams', 'line-held'] as const;
export type LineSeen = (typeof LINE_SEEN)[number];

/**
 * Of all captures together: once telegrams arrived, the part is one that sends them. Where that is known, the newest capture tells
 * whether they arrive now. Undefined where none was fast enough.
 */
export function lineSeen({ sweeps, profile }: Pick<CaseFile, 'sweeps' | 'profile'>): LineSeen | undefined {
  const shown = sweeps
    .filter(({ uses }) => uses.includes('signal'))
    .flatMap(({ findings, uses }) => findings.filter(({ channel }) => uses[channel] === 'signal'))
    .flatMap(({ kind }) => LINE_SEEN.find((seen) => seen === kind) ?? []);
  return sendsTelegrams(profile) ? shown.at(-1) : LINE_SEEN.find((seen) => shown.includes(seen));
}
