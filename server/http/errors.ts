import { say, verbatim } from '@lettura/core/measure/message';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { refusalOf } from '@lettura/contract';
import { z } from 'zod';
import { sendProblem } from './problem.ts';
import { ofRequest } from './refusedRequest.ts';
import { ofDatabase, codesOf } from './databaseTrouble.ts';

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
