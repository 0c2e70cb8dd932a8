import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';

/** SAE J2012 form: a letter and four hexadecimal digits. */
export const troubleCode = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[PBCU][0-9A-F]{4}$/u, refusal(say('refusal.code-letter-four-digits-for')));
