import { z } from 'zod';

/** Made by the client, so that a repeated request changes nothing. */
export const id = z.uuidv7('This is not a UUID v7.');
/** Outside these years a clock is wrong, and the database has no room for it. */
const YEARS = { first: '1970-01-01T00:00:00Z', last: '2200-01-01T00:00:00Z' };
export const instant = z.iso
  .datetime({ offset: true })
  .refine(
    (text) => Date.parse(text) >= Date.parse(YEARS.first) && Date.parse(text) < Date.parse(YEARS.last),
    {
      error: 'This moment is not between 1970 and 2200: check the clock.',
    },
  );
