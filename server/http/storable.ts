import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';

/** A file of two thousand sensors has some hundred thousand values. */
const MOST_VALUES = 1_000_000;
const MOST_IN_ONE_LIST = 20_000;
const DEEPEST = 32;

/**
 * Whether a body can be looked at and kept at all, before anything checks what it says: no text that the database cannot
 * hold, and not so much or so deep that checking it would hold up everybody else.
 */
export function storable(body: unknown): Result<true, 'invalid-request' | 'body-too-large'> {
  let level: unknown[] = [body];
  let values = 0;
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST)
      return fail(
        'invalid-request',
        say('server.request-nested-too-deep'),
        say('server.send-description-asks'),
      );
    const below: unknown[] = [];
    for (const value of level) {
      if (typeof value === 'string') {
        if (value.includes('\u0000') || !value.isWellFormed())
          return fail(
            'invalid-request',
            say('server.text-contains-characters-cannot-kept'),
            say('server.type-text-again-plain-words'),
          );
      } else if (typeof value === 'object' && value !== null) {
        const inside = Array.isArray(value) ? (value as unknown[]) : Object.values(value);
        values += inside.length;
        if (inside.length > MOST_IN_ONE_LIST || values > MOST_VALUES)
          return fail('body-too-large', say('server.request-too-many-values'), say('server.send-fewer-time'));
        for (const one of inside) below.push(one);
        if (!Array.isArray(value)) below.push(...Object.keys(value));
      }
    }
    level = below;
  }
  return ok(true);
}
