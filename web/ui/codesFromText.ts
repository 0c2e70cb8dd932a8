import { say, verbatim } from '@lettura/core/measure/message';
import { jobDetails, refusal, refusalOf } from '@lettura/contract';
import { z } from 'zod';

/** Codes as they are typed in one line: separated by spaces, commas or semicolons. */
export const codesFromText = z.string().transform((text, context) => {
  const typed = text.split(/[\s,;]+/u).filter(Boolean);
  const codes = jobDetails.shape.codes.safeParse(typed);
  if (codes.success) return codes.data;
  const [issue] = codes.error.issues;
  const wrong = typeof issue?.path[0] === 'number' ? typed[issue.path[0]] : undefined;
  const what = issue ? refusalOf(issue.message) : say('ui.check-codes');
  // The whole line is one field, so the message belongs to the line.
  context.addIssue({
    code: 'custom',
    message: refusal(wrong === undefined ? what : say('refusal.wrong-code', { code: verbatim(wrong), what })),
  });
  return z.NEVER;
});

/** What somebody typed, and behind it the codes that are not in it yet. */
export const withCodes = (typed: string, codes: readonly string[]): string =>
  [typed.trim(), ...codes.filter((code) => !typed.toUpperCase().includes(code))].filter(Boolean).join(', ');
