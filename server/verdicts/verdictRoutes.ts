import { endpoints } from '@lettura/contract';
import { sameInBody } from '../http/sameInBody.ts';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { verdictStore } from './verdictStore.ts';

export function verdictRoutes(api: Router, db: Database): void {
  const verdicts = verdictStore(db);
  serve(api, endpoints.recordVerdict, async ({ params, body, actor }) => {
    const same = sameInBody('job', params.jobId, body.jobId);
    return same.ok ? verdicts.record(body, actor) : same;
  });
}
