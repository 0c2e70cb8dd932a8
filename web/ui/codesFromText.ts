import { jobDetails } from '@lettura/contract';
import { z } from 'zod';

/** Codes as they are typed in one line: separated by spaces, commas or semicolons. */
export const codesFromText = z
  .string()
  .transform((text) => text.split(/[\s,;]+/u).filter(Boolean))
  .pipe(jobDetails.shape.codes);
