import { endpoints } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { changeSubject } from './changeSubject.ts';
import { jobStore } from './jobStore.ts';

export function jobRoutes(api: Router, db: Database): void {
  const jobs = jobStore(db);
  serve(api, endpoints.listJobs, async () => ok(await jobs.list()));
  serve(api, endpoints.createJob, ({ body, actor }) => jobs.record(body, actor));
  serve(api, endpoints.getJob, ({ params }) => jobs.sheet(params.jobId));
  serve(api, endpoints.changeJob, ({ params, body, actor }) => jobs.change(params.jobId, body, actor));
  serve(api, endpoints.changeSubject, ({ params, body, actor }) =>
    changeSubject(db, params.jobId, body, actor),
  );
  serve(api, endpoints.deleteJob, ({ params, actor }) => jobs.setDeleted(params.jobId, new Date(), actor));
  serve(api, endpoints.restoreJob, ({ params, actor }) => jobs.setDeleted(params.jobId, null, actor));
}
