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
    message: `This page is of another version than the server, which speaks version ${API_VERSION}.`,
    next: 'Reload the page. What you entered is kept, and sent then.',
  });
};
