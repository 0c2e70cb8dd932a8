import { say, verbatim } from '@lettura/core/measure/message';
import { endpoints, jobFileSchema, openApi, sensorFileSchema } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import { sql } from 'drizzle-orm';
import express from 'express';
import type { Database } from './db/connect.ts';
import type { Feed } from './feeds/feed.ts';
import { feedRoutes } from './feeds/feedRoutes.ts';
import { sendProblem } from './http/problem.ts';
import { serve } from './http/serve.ts';
import { jobFileRoutes } from './jobFiles/jobFileRoutes.ts';
import { jobRoutes } from './jobs/jobRoutes.ts';
import { readingRoutes } from './readings/readingRoutes.ts';
import { instrumentRoutes } from './instruments/instrumentRoutes.ts';
import { onBoardRoutes } from './onBoard/onBoardRoutes.ts';
import { recordingRoutes } from './recordings/recordingRoutes.ts';
import { sensorRoutes } from './sensors/sensorRoutes.ts';
import { vehicleRoutes } from './vehicles/vehicleRoutes.ts';
import { workshopRoutes } from './workshop/workshopRoutes.ts';
import { reportRoutes } from './report/reportRoutes.ts';
import { verdictRoutes } from './verdicts/verdictRoutes.ts';

/** What each feature serves stands beside its store. */
export function apiRoutes(db: Database, feeds: readonly Feed[], stopping?: AbortSignal) {
  const api = express.Router();
  serve(api, endpoints.health, async () => {
    await db.execute(sql`select 1`);
    return ok({ status: 'ok', database: 'ok' });
  });
  sensorRoutes(api, db);
  instrumentRoutes(api, db);
  vehicleRoutes(api, db);
  jobRoutes(api, db);
  jobFileRoutes(api, db);
  readingRoutes(api, db);
  verdictRoutes(api, db);
  recordingRoutes(api, db);
  workshopRoutes(api, db);
  reportRoutes(api, db);
  feedRoutes(api, feeds, stopping);
  onBoardRoutes(api, feeds);

  const description = openApi();
  const schemas = { sensors: sensorFileSchema(), job: jobFileSchema() };
  api.get('/schemas/sensors.json', (_req, res) => void res.json(schemas.sensors));
  api.get('/schemas/job.json', (_req, res) => void res.json(schemas.job));
  api.get('/openapi.json', (_req, res) => void res.json(description));
  api.use((req, res) =>
    sendProblem(res, {
      code: 'not-found',
      message: say('server.there-no', {
        method: verbatim(req.method),
        address: verbatim(req.originalUrl.slice(0, 200)),
      }),
      next: say('server.see-api-openapi-json-there'),
    }),
  );
  return api;
}
