import { say, verbatim } from '@lettura/core/measure/message';
import { join } from 'node:path';
import { MOST_FILE_BYTES, MOST_PICTURE_LETTERS, MOST_RECORDING_BYTES } from '@lettura/contract';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { Database } from './db/connect.ts';
import type { Feed } from './feeds/feed.ts';
import { apiVersion } from './http/apiVersion.ts';
import { errorHandler } from './http/errors.ts';
import { guardRequests } from './http/guardRequests.ts';
import { sendProblem } from './http/problem.ts';
import { requestLog } from './http/requestLog.ts';
import { apiRoutes } from './apiRoutes.ts';

const BODY_LIMIT = '64kb';

export interface AppParts {
  db: Database;
  log: Logger;
  /** The built web application; without it only the API is served. */
  webFolder?: string;
  /** What is followed live. */
  feeds?: readonly Feed[];
  /** Ends what would stream for ever. */
  stopping?: AbortSignal;
  /** Names beside loopback that this server answers to. */
  allowedHosts?: readonly string[];
}

export function createApp({
  db,
  log,
  webFolder,
  feeds = [],
  stopping,
  allowedHosts = [],
}: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(requestLog(log));
  app.use(guardRequests(allowedHosts));
  // On loopback there is no TLS to upgrade to; behind a balancer the balancer says so. Styles are the application's own.
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          upgradeInsecureRequests: null,
          'style-src': ["'self'", "'unsafe-inline'"],
          'font-src': ["'self'", 'data:'],
        },
      },
    }),
  );
  app.use('/api', apiVersion, (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  // A sensor may carry a table of 10,000 points, and a file many sensors.
  app.use('/api/sensors', express.json({ limit: MOST_FILE_BYTES }));
  app.use('/api/jobs/:jobId/recordings', express.json({ limit: MOST_RECORDING_BYTES }));
  app.use('/api/workshop', express.json({ limit: 2 * MOST_PICTURE_LETTERS }));
  app.use('/api', express.json({ limit: BODY_LIMIT }), apiRoutes(db, feeds, stopping));
  if (webFolder) serveWeb(app, webFolder);
  app.use((req, res) =>
    sendProblem(res, {
      code: 'not-found',
      message: say('server.there-nothing-here', { method: verbatim(req.method) }),
      next: say('server.open-start-page-see-api'),
    }),
  );
  app.use(errorHandler(log));
  return app;
}

function serveWeb(app: Express, webFolder: string): void {
  // Built files carry a hash in their names; the page that names them must always be asked for again.
  app.use(
    '/assets',
    expressStaticGzip(join(webFolder, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
  );
  app.use(express.static(webFolder, { index: false }));
  app.get('/{*path}', (_req, res) => {
    res.set('Cache-Control', 'no-cache').sendFile(join(webFolder, 'index.html'));
  });
}
