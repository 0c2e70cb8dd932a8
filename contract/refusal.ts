import { isMessage, say, verbatim, type Message } from '@lettura/core/measure/message';
import type { z } from 'zod';

/**
 * What a schema says of a wrong entry. Zod carries texts, so the code and its values travel as JSON in one;
 * `refusalOf` gives them back to whoever has the words.
 */
export const refusal = (message: Message): string => JSON.stringify(message);

/** @param text of a Zod issue; one that is no coded refusal is given back as it is */
export function refusalOf(text: string): Message {
  const given = text.startsWith('{') ? parsed(text) : undefined;
  return isMessage(given) ? given : say('refusal.verbatim', { text: verbatim(text) });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Everything that is wrong, each with the place it is at: for whoever has no form to show it in. */
export const refusalsOf = ({ issues }: z.ZodError): { path: string; what: Message }[] =>
  issues.map(({ path, message }) => ({ path: path.join('.'), what: refusalOf(message) }));
