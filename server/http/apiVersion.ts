import { say } from '@lettura/core/measure/message';
import { API_VERSION, API_VERSION_HEADER } from '@lettura/contract';
import type { RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

/** Says the version with every answer, and refuses a request that names another; one that names none is taken as it is. */
export const apiVersion: RequestHandler = (req, res, next) => {
  res.set(API_VERSION_HEADER, String(API_VERSION));
  const asked = req.get(API_VERSION_HEADER);
  if (asked === undefined || asked === String(API_VERSION)) return next();
  sendProblem(res, {
    code: 'other-version',
    message: say('server.page-another-version-than-server', { speaks: Number(API_VERSION) }),
    next: say('server.reload-page-you-entered-kept'),
  });
};
