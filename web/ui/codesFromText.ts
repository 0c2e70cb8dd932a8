import { jobDetails } from '@lettura/contract';
import { z } from 'zod';
import { t } from './words.ts';

/** Codes as they are typed in one line: separated by spaces, commas or semicolons. */
export const codesFromText = z.string().transform((text, context) => {
  const typed = text.split(/[\s,;]+/u).filter(Boolean);
  const codes = jobDetails.shape.codes.safeParse(typed);
  if (codes.success) return codes.data;
  const [issue] = codes.error.issues;
  const wrong = typeof issue?.path[0] === 'number' ? `“${typed[issue.path[0]]}”: ` : '';
  // The whole line is one field, so the message belongs to the line.
  context.addIssue({ code: 'custom', message: `${wrong}${issue?.message ?? t('ui.check-codes')}` });
  return z.NEVER;
});
