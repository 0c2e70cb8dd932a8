import { Readable } from 'node:stream';
import { createInflateRaw } from 'node:zlib';
import type { NewRecording, RecordingInfo } from '@lettura/contract';
import { fail, ok, type Result } from '@lettura/core/problem';
import { asc, desc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { recordingTable } from '../db/schema.ts';
import type { Recorded } from '../http/serve.ts';
import { openJobIn, type JobFault } from '../jobs/openJob.ts';

const FLOAT_BYTES = 8;

const columns = {
  id: recordingTable.id,
  jobId: recordingTable.jobId,
  name: recordingTable.name,
  takenAt: recordingTable.takenAt,
  source: recordingTable.source,
  channels: recordingTable.channels,
  samples: recordingTable.samples,
  durationSeconds: recordingTable.durationSeconds,
  findings: recordingTable.findings,
  marks: recordingTable.marks,
  note: recordingTable.note,
};
type Row = { [Name in keyof typeof columns]: (typeof recordingTable.$inferSelect)[Name] };
const infoOf = ({ takenAt, ...row }: Row): RecordingInfo => ({ ...row, takenAt: takenAt.toISOString() });

export const recordingStore = (db: Database) => {
  const openJob = openJobIn(db);
  return {
    async list(): Promise<RecordingInfo[]> {
      const rows = await db.select(columns).from(recordingTable).orderBy(desc(recordingTable.sequence));
      return rows.map(infoOf);
    },

    async ofJob(jobId: string): Promise<RecordingInfo[]> {
      const rows = await db
        .select(columns)
        .from(recordingTable)
        .where(eq(recordingTable.jobId, jobId))
        .orderBy(asc(recordingTable.sequence));
      return rows.map(infoOf);
    },

    async get(id: string): Promise<Result<NewRecording, 'not-found'>> {
      const [row] = await db
        .select({ ...columns, deflated: recordingTable.deflated })
        .from(recordingTable)
        .where(eq(recordingTable.id, id));
      if (!row)
        return fail(
          'not-found',
          'There is no such recording.',
          'Go back to the sweeps and open it from there.',
        );
      const { deflated, ...info } = row;
      return ok({ ...infoOf(info), data: deflated.toString('base64') });
    },

    async record({
      data,
      ...info
    }: NewRecording): Promise<
      Result<Recorded<RecordingInfo>, JobFault | 'id-conflict' | 'damaged-recording'>
    > {
      const job = await openJob(info.jobId);
      if (!job.ok) return job;
      const deflated = Buffer.from(data, 'base64');
      const promised = FLOAT_BYTES * info.samples * (info.channels.length + 1);
      if (!(await holds(deflated, promised)))
        return fail(
          'damaged-recording',
          'The numbers of this recording are not what its header says.',
          'Import the file again.',
        );
      return recordOnce<RecordingInfo>(
        info,
        async () => {
          const [row] = await db
            .insert(recordingTable)
            .values({ ...info, takenAt: new Date(info.takenAt), deflated })
            .onConflictDoNothing()
            .returning(columns);
          return row && infoOf(row);
        },
        async () => {
          const [row] = await db.select(columns).from(recordingTable).where(eq(recordingTable.id, info.id));
          return row && infoOf(row);
        },
      );
    },
  };
};

/** Inflated piece by piece and counted, never held: a few bytes cannot become a full memory. */
async function holds(deflated: Buffer, promised: number): Promise<boolean> {
  let bytes = 0;
  try {
    for await (const piece of Readable.from([deflated]).pipe(createInflateRaw())) {
      bytes += (piece as Buffer).byteLength;
      if (bytes > promised) return false;
    }
  } catch {
    return false;
  }
  return bytes === promised;
}
