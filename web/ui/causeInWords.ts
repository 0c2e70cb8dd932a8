import type { JobVerdict } from '@lettura/contract';
import { recordedCause } from '@lettura/words';
import { said } from './words.ts';

/** What a verdict on record names. */
export const causeInWords = (cause: JobVerdict['cause']): string => said(recordedCause(cause));
