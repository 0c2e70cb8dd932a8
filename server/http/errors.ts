import { fixed, say, verbatim } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { refusalOf } from '@lettura/contract';
import { z } from 'zod';
import { sendProblem, type ProblemCode } from './problem.ts';

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
const MOST_ERRORS = 20;
const LONGEST_MESSAGE = 300;
const shortened = (text: string): string =>
  text.length > LONGEST_MESSAGE ? `${text.slice(0, LONGEST_MESSAGE)} …` : text;

/** Every way a request can fail, as a problem with a next step. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    if (res.headersSent) return next(error);
    const requestId = String(res.locals.requestId ?? '');
    if (error instanceof z.ZodError) {
      const errors = error.issues
        .slice(0, MOST_ERRORS)
        .map(({ path, message }) => ({ path: shortened(path.join('.')), message: refusalOf(message) }));
      const first = errors[0];
      const message = first
        ? say('server.at', {
            path: verbatim(first.path),
            isNamed: first.path !== '',
            what: first.message,
          })
        : say('server.malformed');
      return sendProblem(
        res,
        { code: 'invalid-request', message, next: say('server.correct-named-send-again') },
        errors,
      );
    }
    const problem = ofRequest(error) ?? ofDatabase(error);
    if (problem) {
      if (problem.code === 'database-away' || problem.code === 'database-busy')
        log.warn({ requestId, path: req.path, code: problem.code }, 'the database does not answer');
      return sendProblem(res, problem);
    }
    log.error({ requestId, path: req.path, ...told(error) }, 'unexpected');
    return sendProblem(res, {
      code: 'server-fault',
      message: say('server.something-failed-server'),
      next: say('server.try-again-if-happens-again', {
        number: verbatim(requestId),
        isNumbered: requestId !== '',
      }),
    });
  };
}

/** What the reading of the request itself found wrong. */
function ofRequest(error: unknown): Problem<ProblemCode> | undefined {
  const { type, limit, statusCode, code } = error as {
    type?: string;
    limit?: number;
    statusCode?: number;
    code?: unknown;
  };
  if (type === 'entity.too.large')
    return {
      code: 'body-too-large',
      message: say('server.request-over-kb', { limit: fixed((limit ?? 0) / 1024, 0, 'kB') }),
      next: say('server.shorten-text-send-again'),
    };
  // A body that says it is compressed and is not: zlib's own codes, and brotli's.
  const broken = /^(Z_|ERR_|ERR__ERROR)/u.test(String(code)) && statusCode === 400;
  if (
    broken ||
    type === 'entity.parse.failed' ||
    type === 'encoding.unsupported' ||
    type === 'charset.unsupported'
  )
    return {
      code: 'malformed-json',
      message: say('server.body-could-not-read-json'),
      next: say('server.send-json-object-utf-8'),
    };
  if (type === 'request.aborted' || type === 'request.size.invalid')
    return { code: 'bad-request', message: say('server.request-broke-off'), next: say('server.send-again') };
  if (error instanceof URIError || statusCode === 404)
    return {
      code: 'not-found',
      message: say('server.there-nothing-address'),
      next: say('server.check-address'),
    };
  if (statusCode === 416)
    return {
      code: 'range-not-satisfiable',
      message: say('server.file-no-such-part'),
      next: say('server.ask-all'),
    };
  if (statusCode === 412)
    return {
      code: 'precondition-failed',
      message: say('server.file-not-request-expects'),
      next: say('server.ask-again-without-conditions'),
    };
  if (statusCode !== undefined && statusCode >= 400 && statusCode < 500)
    return {
      code: 'bad-request',
      message: say('server.request-cannot-answered'),
      next: say('server.check-sent'),
    };
  return undefined;
}

function ofDatabase(error: unknown): Problem<ProblemCode> | undefined {
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
const codesOf = (error: unknown): string[] =>
  [...chain(error)].map((at) => String((at as { code?: unknown }).code));
const messageOf = (error: unknown): string => [...chain(error)].map(({ message }) => message).join(' ');

const isAway = (error: unknown): boolean =>
  codesOf(error).some((code) => AWAY.test(code)) ||
  /connection (terminated|timeout)|timeout exceeded when trying to connect/iu.test(messageOf(error));

/** For the log: where it happened and what sort it was. Messages of the driver carry what people typed, and stay out. */
function told(error: unknown): { name: string; codes: string[]; at: string } {
  const frames =
    error instanceof Error ? (error.stack ?? '').split('\n').filter((line) => /^\s+at /u.test(line)) : [];
  return {
    name: error instanceof Error ? error.name : typeof error,
    codes: codesOf(error).filter((code) => code !== 'undefined'),
    at: frames
      .slice(0, 8)
      .map((line) => line.trim())
      .join(' < '),
  };
}
