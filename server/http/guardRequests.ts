import { say } from '@lettura/core/measure/message';
import type { RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

/** Names that a browser on this very machine calls it by. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const READS = ['GET', 'HEAD', 'OPTIONS'];

/**
 * Answers only to its own names, and writes only for its own pages. A page of another site that points its name at
 * loopback sends that name along, and one that posts here without being asked says where it comes from.
 *
 * @param allowedHosts names beside loopback, without ports: what the environment says this server is called
 */
export function guardRequests(allowedHosts: readonly string[]): RequestHandler {
  const isOurs = (host: string): boolean => {
    const name = host.replace(/:\d+$/u, '').toLowerCase();
    return LOOPBACK.includes(name) || allowedHosts.includes(name);
  };
  return (req, res, next) => {
    const { host = '', origin } = req.headers;
    if (!isOurs(host)) {
      return sendProblem(res, {
        code: 'foreign-host',
        message: say('server.server-not-called-name'),
        next: say('server.open-address-printed-name-host'),
      });
    }
    if (READS.includes(req.method)) return next();
    const site = req.headers['sec-fetch-site'];
    const fromElsewhere =
      (origin !== undefined && hostOf(origin) !== host.toLowerCase()) ||
      (site !== undefined && site !== 'same-origin' && site !== 'none');
    if (!fromElsewhere) return next();
    sendProblem(res, {
      code: 'foreign-origin',
      message: say('server.page-elsewhere-asked-written'),
      next: say('server.write-applications-own-pages'),
    });
  };
}

const hostOf = (origin: string): string | undefined =>
  URL.canParse(origin) ? new URL(origin).host.toLowerCase() : undefined;
