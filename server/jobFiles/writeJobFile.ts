import { JOB_FILE_FORMAT, JOB_FILE_VERSION, type JobFile, type JobSheet } from '@lettura/contract';
import { ok, type Result } from '@lettura/core/measure/problem';
import { asc } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { jobTable } from '../db/schema.ts';
import { jobStore } from '../jobs/jobStore.ts';
import { recordingStore } from '../recordings/recordingStore.ts';

/** One job with all of its record. */
export async function jobFileOf(db: Database, jobId: string): Promise<Result<JobFile, 'not-found'>> {
  const sheet = await jobStore(db).sheet(jobId);
  if (!sheet.ok) return sheet;
  const recordings = recordingStore(db);
  const { vehicle, sensor, readings, verdicts, instruments } = sheet.value;
  return ok({
    format: JOB_FILE_FORMAT,
    version: JOB_FILE_VERSION,
    job: asOpened(sheet.value),
    vehicle,
    sensor,
    // In no order of the database's own: the same job is the same bytes.
    instruments: [...instruments].sort((a, b) => a.id.localeCompare(b.id)),
    readings,
    recordings: await recordings.asRecorded(jobId),
    revisions: await recordings.revisionsOf(jobId),
    verdicts,
  });
}

/** Which change of its details it is at is this server's own affair. */
const asOpened = ({ job: { revision: _revision, ...job } }: JobSheet): JobFile['job'] => job;

/** Every job, the oldest first, one after the other: as many as there are take no more room than one. */
export async function* jobFiles(db: Database): AsyncGenerator<JobFile> {
  const rows = await db
    .select({ id: jobTable.id })
    .from(jobTable)
    .orderBy(asc(jobTable.openedAt), asc(jobTable.id));
  for (const { id } of rows) {
    const file = await jobFileOf(db, id);
    if (file.ok) yield file.value;
  }
}
