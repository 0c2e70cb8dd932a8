import { endpoints } from '@lettura/contract';
import { sameInBody } from '../http/sameInBody.ts';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { readingStore } from './readingStore.ts';

export function readingRoutes(api: Router, db: Database): void {
  const readings = readingStore(db);
  serve(api, endpoints.recordReading, async ({ params, body, actor }) => {
    const same = sameInBody('job', params.jobId, body.jobId);
    return same.ok ? readings.record(body, actor) : same;
  });
}
