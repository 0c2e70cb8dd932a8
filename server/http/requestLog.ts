import type { RequestHandler } from 'express';
import type { Logger } from 'pino';

export function requestLog(log: Logger): RequestHandler {
  return (req, res, next) => {
    const start = process.hrtime.bigint();
    res.on('finish', () => {
      const milliseconds = Number(process.hrtime.bigint() - start) / 1e6;
      log.info({ method: req.method, path: req.path, status: res.statusCode, milliseconds }, 'request');
    });
    next();
  };
}
