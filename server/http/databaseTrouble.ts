import { say } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import { type ProblemCode } from './problem.ts';

/** PostgreSQL classes 08 (connection), 57 (operator intervention), 53 (resources), and sockets that went away. */
const AWAY = /^(08|57|53)|^(ECONNREFUSED|ECONNRESET|ENOENT|EPIPE|ETIMEDOUT)$/u;
/** It is there, and holds what is asked for longer than anybody waits: a lock, a statement that was stopped for its time. */
const BUSY = /^(55P03|57014|40P01)$/u;
/** What the database itself refuses in the words of this program: see the migrations. */
const REFUSED: Record<string, Problem<ProblemCode>> = {
  LT410: {
    code: 'job-deleted',
    message: say('server.job-deleted'),
    next: say('server.restore-job-list-your-entry'),
  },
  LT409: {
    code: 'corrected-elsewhere',
    message: say('server.reading-corrected-taken-back-elsewhere'),
    next: say('server.look-newer-line-if-yours'),
  },
};

export function ofDatabase(error: unknown): Problem<ProblemCode> | undefined {
  const codes = codesOf(error);
  const refused = codes.map((code) => REFUSED[code]).find((one) => one !== undefined);
  if (refused) return refused;
  if (codes.some((code) => BUSY.test(code)) || /query read timeout/iu.test(messageOf(error)))
    return {
      code: 'database-busy',
      message: say('server.database-busy-something-else'),
      next: say('server.nothing-lost-you-entered-sent'),
    };
  // Class 22: a value that the check let through and the database cannot hold.
  if (codes.some((code) => code.startsWith('22')))
    return {
      code: 'invalid-request',
      message: say('server.value-request-cannot-kept'),
      next: say('server.check-dates-numbers-send-again'),
    };
  return isAway(error)
    ? {
        code: 'database-away',
        message: say('server.database-does-not-answer'),
        next: say('server.nothing-lost-you-entered-sent'),
      }
    : undefined;
}

/** The driver wraps its errors, so the cause is followed down. */
function* chain(error: unknown): Generator<Error> {
  for (let at = error; at instanceof Error; at = at.cause) {
    yield at;
    if (at instanceof AggregateError) for (const one of at.errors) yield* chain(one);
  }
}
export const codesOf = (error: unknown): string[] =>
  [...chain(error)].map((at) => String((at as { code?: unknown }).code));
const messageOf = (error: unknown): string => [...chain(error)].map(({ message }) => message).join(' ');

const isAway = (error: unknown): boolean =>
  codesOf(error).some((code) => AWAY.test(code)) ||
  /connection (terminated|timeout)|timeout exceeded when trying to connect/iu.test(messageOf(error));
