import { say } from '@lettura/core/measure/message';
import { fail } from '@lettura/core/measure/problem';
import { isTooLongToDraw, isWithdrawn, pathParameters, type RecordingInfo } from '@lettura/contract';
import type { Router } from 'express';
import { readFileSync } from 'node:fs';
import type { Database } from '../db/connect.ts';
import { sendProblem } from '../http/problem.ts';
import { jobStore } from '../jobs/jobStore.ts';
import { workshopStore } from '../workshop/workshopStore.ts';
import { picturedApart } from '../pictures/picturedApart.ts';
import { recordingStore } from '../recordings/recordingStore.ts';
import { printedApart } from './printedApart.ts';
import { reportReader } from './reportAsked.ts';

const { version } = JSON.parse(readFileSync(new URL('../../package.json', import.meta.url), 'utf8')) as {
  version: string;
};
/** A job as a PDF: page one for the customer, the rest for the next technician. */
export function reportRoutes(api: Router, db: Database): void {
  api.get('/jobs/:jobId/report.pdf', async (req, res) => {
    const jobId = pathParameters.jobId.parse(req.params.jobId);
    const reader = reportReader.safeParse(req.query);
    if (!reader.success)
      return sendProblem(
        res,
        fail('invalid-request', say('server.report-for-nobody'), say('server.report-ask-from-page')).problem,
      );
    const sheet = await jobStore(db).sheet(jobId);
    if (!sheet.ok) return sendProblem(res, sheet.problem);
    const bytes = await printedApart({
      sheet: sheet.value,
      pictures: await picturesOf(sheet.value.recordings),
      workshop: await workshopStore(db).get(),
      reader: reader.data,
      atInstant: new Date().toISOString(),
      version,
    });
    res.type('application/pdf').send(Buffer.from(bytes));
  });

  /** One after the other: the numbers of all of them at once may be more than there is room for. */
  async function picturesOf(recordings: readonly RecordingInfo[]): Promise<Record<string, string[]>> {
    const pictures: Record<string, string[]> = {};
    for (const info of recordings) {
      if (isWithdrawn(info) || isTooLongToDraw(info)) continue;
      const kept = await recordingStore(db).kept(info.id);
      if (kept.ok) pictures[info.id] = await picturedApart(kept.value);
    }
    return pictures;
  }
}
