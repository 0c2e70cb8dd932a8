import { say } from '@lettura/core/measure/message';
import { Readable } from 'node:stream';
import { createInflateRaw } from 'node:zlib';
import type { NewRecording, RecordingInfo, RecordingRevision, RecordingWithNumbers } from '@lettura/contract';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { asc, desc, eq, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { recordOnce } from '../db/recordOnce.ts';
import { recordingRevisionTable, recordingTable } from '../db/schema.ts';
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

type RevisionRow = typeof recordingRevisionTable.$inferSelect;
const revisionOf = ({
  sequence: _sequence,
  recordedAt: _recordedAt,
  author: _author,
  revisedAt,
  name,
  note,
  marks,
  ...row
}: RevisionRow): RecordingRevision => ({
  ...row,
  revisedAt: revisedAt.toISOString(),
  ...(name === null ? {} : { name }),
  ...(note === null ? {} : { note }),
  ...(marks === null ? {} : { marks }),
});

/** What was said of it last, of what not every revision says. */
const saidLast = (column: 'name' | 'note' | 'marks') =>
  sql`coalesce((select said.${sql.identifier(column)} from ${recordingRevisionTable} said where said.recording_id = ${recordingTable.id} and said.${sql.identifier(column)} is not null order by said.sequence desc limit 1), ${recordingTable[column]})`;

const asSaidLast = {
  ...columns,
  name: saidLast('name').mapWith(String),
  note: saidLast('note').mapWith(String),
  marks: saidLast('marks').mapWith(recordingTable.marks),
};

/** All of it, or nothing where a recording was never revised. */
type LastRevision = {
  [Name in 'channels' | 'findings' | 'revisedAt' | 'withdrawn']: RevisionRow[Name] | null;
};

/** What is on record of it, as the last revision reads it. */
function asRevised(row: Row, { channels, findings, revisedAt, withdrawn }: LastRevision): RecordingInfo {
  const info = infoOf(row);
  if (!revisedAt || !channels || !findings || withdrawn === null) return info;
  return { ...info, channels, findings, revision: { revisedAt: revisedAt.toISOString(), withdrawn } };
}

/** What is on record of it, and its numbers deflated. */
export interface KeptRecording {
  info: RecordingInfo;
  deflated: Buffer;
}

const noSuchRecording = () =>
  fail('not-found', say('server.there-no-such-recording'), say('server.go-back-sweeps-open-there'));

export const recordingStore = (db: Database) => {
  const openJob = openJobIn(db);
  /** Each recording with the last thing that was said of it. */
  const revised = async (order: SQL, where?: SQL): Promise<RecordingInfo[]> => {
    const last = db
      .selectDistinctOn([recordingRevisionTable.recordingId])
      .from(recordingRevisionTable)
      .orderBy(recordingRevisionTable.recordingId, desc(recordingRevisionTable.sequence))
      .as('last_revision');
    const rows = await db
      .select({
        row: asSaidLast,
        channels: last.channels,
        findings: last.findings,
        revisedAt: last.revisedAt,
        withdrawn: last.withdrawn,
      })
      .from(recordingTable)
      .leftJoin(last, eq(last.recordingId, recordingTable.id))
      .where(where)
      .orderBy(order);
    return rows.map(({ row, ...last }) => asRevised(row, last));
  };
  /** What is on record of it and its numbers as they are kept, for whoever draws it. */
  const kept = async (id: string): Promise<Result<KeptRecording, 'not-found'>> => {
    const [info] = await revised(asc(recordingTable.sequence), eq(recordingTable.id, id));
    const [numbers] = await db
      .select({ deflated: recordingTable.deflated })
      .from(recordingTable)
      .where(eq(recordingTable.id, id));
    return info && numbers ? ok({ info, deflated: numbers.deflated }) : noSuchRecording();
  };
  return {
    list: (): Promise<RecordingInfo[]> => revised(desc(recordingTable.sequence)),

    ofJob: (jobId: string): Promise<RecordingInfo[]> =>
      revised(asc(recordingTable.sequence), eq(recordingTable.jobId, jobId)),

    /** As each was recorded, with its numbers, whatever was said of it later. */
    async asRecorded(jobId: string): Promise<NewRecording[]> {
      const rows = await db
        .select({ row: columns, deflated: recordingTable.deflated })
        .from(recordingTable)
        .where(eq(recordingTable.jobId, jobId))
        .orderBy(asc(recordingTable.sequence));
      return rows.map(({ row, deflated }) => ({ ...infoOf(row), data: deflated.toString('base64') }));
    },

    async revisionsOf(jobId: string): Promise<RecordingRevision[]> {
      const rows = await db
        .select()
        .from(recordingRevisionTable)
        .where(eq(recordingRevisionTable.jobId, jobId))
        .orderBy(asc(recordingRevisionTable.sequence));
      return rows.map(revisionOf);
    },

    kept,

    async get(id: string): Promise<Result<RecordingWithNumbers, 'not-found'>> {
      const found = await kept(id);
      return found.ok ? ok({ ...found.value.info, data: found.value.deflated.toString('base64') }) : found;
    },

    /** The numbers stay; what they are, and whether they count, is said anew. */
    async revise(
      given: RecordingRevision,
      { author }: Actor,
    ): Promise<Result<Recorded<RecordingRevision>, JobFault | 'id-conflict' | 'damaged-recording'>> {
      const [kept] = await db
        .select({ jobId: recordingTable.jobId, channels: recordingTable.channels })
        .from(recordingTable)
        .where(eq(recordingTable.id, given.recordingId));
      if (kept?.jobId !== given.jobId) return noSuchRecording();
      const job = await openJob(given.jobId);
      if (!job.ok) return job;
      if (given.channels.length !== kept.channels.length)
        return fail(
          'damaged-recording',
          say('server.recording-channels-were-described', {
            has: kept.channels.length,
            described: given.channels.length,
          }),
          say('server.load-recording-again-describe-each'),
        );
      return recordOnce<RecordingRevision>(
        given,
        async () => {
          const [row] = await db
            .insert(recordingRevisionTable)
            .values({ ...given, author, revisedAt: new Date(given.revisedAt) })
            .onConflictDoNothing()
            .returning();
          return row && revisionOf(row);
        },
        async () => {
          const [row] = await db
            .select()
            .from(recordingRevisionTable)
            .where(eq(recordingRevisionTable.id, given.id));
          return row && revisionOf(row);
        },
      );
    },

    async record(
      { data, ...info }: NewRecording,
      { author }: Actor,
    ): Promise<Result<Recorded<RecordingInfo>, JobFault | 'id-conflict' | 'damaged-recording'>> {
      const job = await openJob(info.jobId);
      if (!job.ok) return job;
      const deflated = Buffer.from(data, 'base64');
      if (!(await holdsItsNumbers(deflated, info.samples, info.channels.length)))
        return fail(
          'damaged-recording',
          say('server.numbers-recording-not-header-says'),
          say('server.import-file-again'),
        );
      return recordOnce<RecordingInfo>(
        info,
        async () => {
          const [row] = await db
            .insert(recordingTable)
            .values({ ...info, author, takenAt: new Date(info.takenAt), deflated })
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
export async function holdsItsNumbers(deflated: Buffer, samples: number, channels: number): Promise<boolean> {
  const promised = FLOAT_BYTES * samples * (channels + 1);
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
