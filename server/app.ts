import { join } from 'node:path';
import {
  endpoints,
  MOST_FILE_BYTES,
  MOST_RECORDING_BYTES,
  openApi,
  sensorFileSchema,
} from '@lettura/contract';
import { fail, ok } from '@lettura/core/measure/problem';
import { sql } from 'drizzle-orm';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { Database } from './db/connect.ts';
import type { Feed } from './feeds/feed.ts';
import { streamFeed } from './feeds/streamFeed.ts';
import { errorHandler } from './http/errors.ts';
import { guardRequests } from './http/guardRequests.ts';
import { sendProblem } from './http/problem.ts';
import { requestLog } from './http/requestLog.ts';
import { serve } from './http/serve.ts';
import { jobStore } from './jobs/jobStore.ts';
import { readingStore } from './readings/readingStore.ts';
import { instrumentStore } from './instruments/instrumentStore.ts';
import { recordingStore } from './recordings/recordingStore.ts';
import { sensorStore } from './sensors/sensorStore.ts';
import { vehicleStore } from './vehicles/vehicleStore.ts';
import { verdictStore } from './verdicts/verdictStore.ts';

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
  app.use('/api', (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  // A sensor may carry a table of 10,000 points, and a file many sensors.
  app.use('/api/sensors', express.json({ limit: MOST_FILE_BYTES }));
  app.use('/api/jobs/:jobId/recordings', express.json({ limit: MOST_RECORDING_BYTES }));
  app.use('/api', express.json({ limit: BODY_LIMIT }), apiRoutes(db, feeds, stopping));
  if (webFolder) serveWeb(app, webFolder);
  app.use((req, res) =>
    sendProblem(res, {
      code: 'not-found',
      message: `There is nothing to ${req.method} here.`,
      next: 'Open the start page, or see /api/openapi.json for what there is.',
    }),
  );
  app.use(errorHandler(log));
  return app;
}

function apiRoutes(db: Database, feeds: readonly Feed[], stopping?: AbortSignal) {
  const api = express.Router();
  const jobs = jobStore(db);
  const readings = readingStore(db);
  const sensors = sensorStore(db);
  const instruments = instrumentStore(db);
  const vehicles = vehicleStore(db);
  const verdicts = verdictStore(db);
  const recordings = recordingStore(db);

  serve(api, endpoints.health, async () => {
    await db.execute(sql`select 1`);
    return ok({ status: 'ok', database: 'ok' });
  });
  serve(api, endpoints.listSensors, async () => ok(await sensors.list()));
  serve(api, endpoints.createSensor, ({ body, actor }) => sensors.record(body, actor));
  serve(api, endpoints.getSensor, ({ params }) => sensors.versions(params.sensorId));
  serve(api, endpoints.importSensors, ({ body, actor }) => sensors.importFile(body, actor));
  serve(api, endpoints.listInstruments, async () => ok(await instruments.list()));
  serve(api, endpoints.createInstrument, ({ body, actor }) => instruments.record(body, actor));
  serve(api, endpoints.listVehicles, async () => ok(await vehicles.list()));
  serve(api, endpoints.createVehicle, ({ body, actor }) => vehicles.record(body, actor));
  serve(api, endpoints.listJobs, async () => ok(await jobs.list()));
  serve(api, endpoints.createJob, ({ body, actor }) => jobs.record(body, actor));
  serve(api, endpoints.getJob, ({ params }) => jobs.sheet(params.jobId));
  serve(api, endpoints.changeJob, ({ params, body, actor }) => jobs.change(params.jobId, body, actor));
  serve(api, endpoints.deleteJob, ({ params, actor }) => jobs.setDeleted(params.jobId, new Date(), actor));
  serve(api, endpoints.restoreJob, ({ params, actor }) => jobs.setDeleted(params.jobId, null, actor));
  serve(api, endpoints.recordReading, async ({ params, body, actor }) =>
    params.jobId === body.jobId ? readings.record(body, actor) : wrongJob(),
  );
  serve(api, endpoints.recordVerdict, async ({ params, body, actor }) =>
    params.jobId === body.jobId ? verdicts.record(body, actor) : wrongJob(),
  );

  serve(api, endpoints.recordSweep, async ({ params, body, actor }) =>
    params.jobId === body.jobId ? recordings.record(body, actor) : wrongJob(),
  );
  serve(api, endpoints.reviseRecording, async ({ params, body, actor }) =>
    params.recordingId === body.recordingId ? recordings.revise(body, actor) : wrongRecording(),
  );
  serve(api, endpoints.getRecording, ({ params }) => recordings.get(params.recordingId));
  serve(api, endpoints.listFeeds, () => Promise.resolve(ok(feeds.map(({ info }) => info))));
  for (const { info, buffer } of feeds)
    api.get(`/feeds/${info.id}/stream`, (req, res) => streamFeed(buffer, req, res, stopping));
  serve(api, endpoints.listRecordings, async () => ok(await recordings.list()));

  const description = openApi();
  const schema = sensorFileSchema();
  api.get('/schemas/sensors.json', (_req, res) => void res.json(schema));
  api.get('/openapi.json', (_req, res) => void res.json(description));
  api.use((req, res) =>
    sendProblem(res, {
      code: 'not-found',
      message: `There is no ${req.method} ${req.originalUrl.slice(0, 200)}.`,
      next: 'See /api/openapi.json for what there is.',
    }),
  );
  return api;
}

const wrongJob = () =>
  fail(
    'unknown-reference',
    'The address and the body name different jobs.',
    'Send it to the job it belongs to.',
  );

const wrongRecording = () =>
  fail(
    'unknown-reference',
    'The address and the body name different recordings.',
    'Send it to the recording it is about.',
  );

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
