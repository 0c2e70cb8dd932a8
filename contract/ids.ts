import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';

/** Made by the client, so that a repeated request changes nothing. */
export const id = z.uuidv7(refusal(say('refusal.not-uuid-v7')));
/** Outside these years a clock is wrong, and the database has no room for it. */
const YEARS = { first: '1970-01-01T00:00:00Z', last: '2200-01-01T00:00:00Z' };
export const instant = z.iso
  .datetime({ offset: true })
  .refine(
    (text) => Date.parse(text) >= Date.parse(YEARS.first) && Date.parse(text) < Date.parse(YEARS.last),
    {
      error: refusal(say('refusal.moment-not-between-1970-2200')),
    },
  );
