import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';

/** Tags and invisible control characters have no business in a name; the screen would show them as they are. */
const MARKUP = /<[a-z!/?]/iu;
// eslint-disable-next-line no-control-regex -- that is what is looked for
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/u;

/** One line or more of words, as people type them. */
export const plainText = (longest: number) =>
  z
    .string()
    .trim()
    .max(longest)
    .refine((text) => !MARKUP.test(text), { error: refusal(say('refusal.contains-html-write-plain-words')) })
    .refine((text) => !CONTROL.test(text), {
      error: refusal(say('refusal.contains-control-characters-write-plain')),
    });
