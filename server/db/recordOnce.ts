import { say, verbatim } from '@lettura/core/measure/message';
import { isDeepStrictEqual } from 'node:util';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
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
        say('server.id-belongs-different-record', { id: verbatim(given.id) }),
        say('server.send-again-under-new-id'),
      );
}

/** Columns that the server adds are its own; all others must be the same, those left out as well. */
const SERVERS_OWN = ['lineageId', 'version', 'revision', 'deletedAt'];

export const sameRecord = <T extends object>(found: T, given: Partial<T>): boolean =>
  isDeepStrictEqual(normal(found), normal(given));

const INSTANT = /^\d{4}-\d\d-\d\dT/u;

/** Without what is undefined, and with moments as numbers: 08:00Z and 09:00+01:00 are one. */
function normal(record: object): unknown {
  const own = Object.fromEntries(Object.entries(record).filter(([key]) => !SERVERS_OWN.includes(key)));
  return JSON.parse(JSON.stringify(own), (_key, value: unknown) =>
    typeof value === 'string' && INSTANT.test(value) ? Date.parse(value) : value,
  );
}
