import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';
import { sendProblem } from './problem.ts';

/** PostgreSQL classes 08 (connection), 57 (operator intervention), 53 (resources), and sockets that went away. */
const AWAY = /^(08|57|53)|^(ECONNREFUSED|ECONNRESET|ENOENT|EPIPE|ETIMEDOUT)$/u;

/** Every way a request can fail, as a problem with a next step. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, req, res, _next) => {
    if (error instanceof z.ZodError) {
      const errors = error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
      const first = errors[0];
      const message = first
        ? `${first.path ? `${first.path}: ` : ''}${first.message}`
        : 'The request is malformed.';
      return sendProblem(
        res,
        { code: 'invalid-request', message, next: 'Correct what is named and send it again.' },
        errors,
      );
    }
    const { type, limit, statusCode } = error as { type?: string; limit?: number; statusCode?: number };
    if (type === 'entity.too.large') {
      const message = `The request is over ${Math.round((limit ?? 0) / 1024)} kB.`;
      return sendProblem(res, {
        code: 'body-too-large',
        message,
        next: 'Shorten the text and send it again.',
      });
    }
    if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'charset.unsupported') {
      const next = 'Send a JSON object in UTF-8.';
      return sendProblem(res, {
        code: 'malformed-json',
        message: 'The body could not be read as JSON.',
        next,
      });
    }
    if (error instanceof URIError || statusCode === 404) {
      return sendProblem(res, {
        code: 'not-found',
        message: 'The address is malformed.',
        next: 'Check the address.',
      });
    }
    if (isAway(error)) {
      log.warn({ path: req.path }, 'the database does not answer');
      const next = 'Nothing is lost: what you entered is sent again by itself.';
      return sendProblem(res, { code: 'database-away', message: 'The database does not answer.', next });
    }
    log.error({ err: error, path: req.path }, 'unexpected');
    const next = 'Try again; if it happens again, tell whoever runs the server what you did.';
    return sendProblem(res, { code: 'server-fault', message: 'Something failed on the server.', next });
  };
}

/** The driver wraps its errors, so the cause is followed down. */
function isAway(error: unknown): boolean {
  for (let at = error; at instanceof Error; at = at.cause) {
    if (AWAY.test(String((at as { code?: unknown }).code))) return true;
    if (/connection (terminated|timeout)|timeout exceeded when trying to connect/iu.test(at.message))
      return true;
    if (at instanceof AggregateError && at.errors.some(isAway)) return true;
  }
  return false;
}
