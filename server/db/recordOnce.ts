import { isDeepStrictEqual } from 'node:util';
import { fail, ok, type Result } from '@lettura/core/problem';
import type { Recorded } from '../http/serve.ts';

/**
 * A repeated request changes nothing: the first one inserts, the same again is answered with what is there, and a
 * different record under a taken id is refused.
 */
export async function recordOnce<T extends { id: string }>(
  given: T,
  insert: () => Promise<T | undefined>,
  find: () => Promise<T | undefined>,
): Promise<Result<Recorded<T>, 'id-conflict'>> {
  const inserted = await insert();
  if (inserted) return ok({ record: inserted, created: true });
  const found = await find();
  return found && sameRecord(found, given)
    ? ok({ record: found, created: false })
    : fail(
        'id-conflict',
        `The id ${given.id} belongs to a different record.`,
        'Send it again under a new id.',
      );
}

/** Only what the client sent is compared: columns that the server adds are its own. */
export const sameRecord = <T extends object>(found: T, given: Partial<T>): boolean =>
  isDeepStrictEqual(normal(found, given), normal(given, given));

const INSTANT = /^\d{4}-\d\d-\d\dT/u;

function normal<T extends object>(record: T, like: T): unknown {
  const picked = Object.fromEntries(Object.keys(like).map((key) => [key, record[key as keyof T]]));
  return JSON.parse(JSON.stringify(picked), (_key, value: unknown) =>
    typeof value === 'string' && INSTANT.test(value) ? Date.parse(value) : value,
  );
}
