import { endpoints, isTooLongToDraw } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import { sameInBody } from '../http/sameInBody.ts';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { picturedApart } from '../pictures/picturedApart.ts';
import { recordingStore } from './recordingStore.ts';

export function recordingRoutes(api: Router, db: Database): void {
  const recordings = recordingStore(db);
  serve(api, endpoints.listRecordings, async () => ok(await recordings.list()));
  serve(api, endpoints.getRecording, ({ params }) => recordings.get(params.recordingId));
  serve(api, endpoints.drawRecording, async ({ params }) => {
    const kept = await recordings.kept(params.recordingId);
    if (!kept.ok) return kept;
    return ok({ pictures: isTooLongToDraw(kept.value.info) ? [] : await picturedApart(kept.value) });
  });
  serve(api, endpoints.recordSweep, async ({ params, body, actor }) => {
    const same = sameInBody('job', params.jobId, body.jobId);
    return same.ok ? recordings.record(body, actor) : same;
  });
  serve(api, endpoints.reviseRecording, async ({ params, body, actor }) => {
    const same = sameInBody('recording', params.recordingId, body.recordingId);
    return same.ok ? recordings.revise(body, actor) : same;
  });
}
