import { fixed, say } from '@lettura/core/measure/message';
import { endpoints, MOST_JOB_BYTES, readJobLine, type JobsTakenIn } from '@lettura/contract';
import { fail, ok, type Problem, type Result } from '@lettura/core/measure/problem';
import { sql } from 'drizzle-orm';
import type { Request, Router } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Database } from '../db/connect.ts';
import { actorOf } from '../http/actor.ts';
import { sendProblem, type ProblemCode } from '../http/problem.ts';
import { serve } from '../http/serve.ts';
import { storable } from '../http/storable.ts';
import { linesOf, LineTooLong } from './linesOf.ts';
import { takeInJob } from './takeInJob.ts';
import { jobFileOf, jobFiles } from './writeJobFile.ts';

const JSON_LINES = 'application/x-ndjson';

/** Jobs leave and come in as files: one as JSON, many as JSON Lines, however many there are. */
export function jobFileRoutes(api: Router, db: Database): void {
  serve(api, endpoints.jobFile, ({ params }) => jobFileOf(db, params.jobId));

  api.get('/job-files', async (_req, res) => {
    res.type(JSON_LINES);
    async function* lines() {
      for await (const file of jobFiles(db)) yield `${JSON.stringify(file)}\n`;
    }
    await pipeline(Readable.from(lines()), res);
  });

  api.post('/job-files', async (req, res) => {
    const taken = await takeIn(db, req);
    if (!taken.ok) return sendProblem(res, taken.problem);
    res.json(taken.value);
  });
}

/** Undoes what was written before it. */
class RefusedFile extends Error {
  constructor(readonly problem: Problem<ProblemCode>) {
    super(problem.code);
  }
}

/** All jobs of a file or none: a file half taken in would be worse than one refused. */
async function takeIn(db: Database, req: Request): Promise<Result<JobsTakenIn, ProblemCode>> {
  const count = { added: 0, grown: 0, known: 0, otherwiseHere: 0 };
  try {
    await db.transaction(async (tx) => {
      // A recording of many megabytes takes its time on the way from a phone.
      await tx.execute(sql`set local idle_in_transaction_session_timeout = '5min'`);
      let number = 0;
      for await (const line of linesOf(req, MOST_JOB_BYTES)) {
        number++;
        if (line.trim() === '') continue;
        const file = must(readJobLine(line, number));
        must(storable(file));
        const { outcome, otherwiseHere } = must(await takeInJob(tx, file, actorOf(req)));
        count[outcome]++;
        if (otherwiseHere) count.otherwiseHere++;
      }
      if (count.added + count.grown + count.known === 0)
        must(fail('invalid-request', say('server.no-job-in-file'), say('server.choose-file-of-jobs')));
    });
    return ok(count);
  } catch (error) {
    if (error instanceof RefusedFile) return { ok: false, problem: error.problem };
    if (error instanceof LineTooLong)
      return fail(
        'body-too-large',
        say('server.job-over-mb', { most: fixed(MOST_JOB_BYTES / 1024 / 1024, 0, 'MB') }),
        say('server.choose-file-of-jobs'),
      );
    throw error;
  }
}

function must<T>(result: Result<T, ProblemCode>): T {
  if (!result.ok) throw new RefusedFile(result.problem);
  return result.value;
}
