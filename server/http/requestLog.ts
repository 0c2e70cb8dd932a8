import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';

/** Each request has a number, which its answer carries and every line about it names. */
export function requestLog(log: Logger): RequestHandler {
  return (req, res, next) => {
    const requestId = randomUUID();
    res.locals.requestId = requestId;
    res.set('X-Request-Id', requestId);
    const start = process.hrtime.bigint();
    res.on('finish', () => {
      const milliseconds = Number(process.hrtime.bigint() - start) / 1e6;
      log.info(
        { requestId, method: req.method, path: req.path, status: res.statusCode, milliseconds },
        'request',
      );
    });
    next();
  };
}
