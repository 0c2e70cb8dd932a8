import { say, verbatim } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import type { JobFile } from '@lettura/contract';
import type { Database } from '../db/connect.ts';
import { sameRecord } from '../db/recordOnce.ts';
import { readingTable, recordingRevisionTable, recordingTable, verdictTable } from '../db/schema.ts';
import { toRow } from '../readings/readingRow.ts';

/** The lines that are not here yet, each list in its order. Says how many there were. */
export async function addLines(
  db: Database,
  file: JobFile,
  there: JobFile | undefined,
  author: string,
): Promise<Result<number, 'id-conflict'>> {
  let added = 0;
  const add = async <T extends { id: string }>(
    given: readonly T[],
    known: readonly T[] = [],
    insert: (rows: T[]) => Promise<unknown[]>,
    atOnce = ROWS_AT_ONCE,
  ): Promise<Result<true, 'id-conflict'>> => {
    const byId = new Map(known.map((row) => [row.id, row]));
    const other = given.find((row) => byId.has(row.id) && !sameRecord(byId.get(row.id)!, row));
    if (other) return conflict(other.id);
    const fresh = given.filter(({ id }) => !byId.has(id));
    for (let from = 0; from < fresh.length; from += atOnce) {
      const rows = fresh.slice(from, from + atOnce);
      // An id that is taken is one of another job.
      if ((await insert(rows)).length < rows.length) return conflict(rows[0]!.id);
    }
    added += fresh.length;
    return ok(true);
  };
  const lists = [
    () =>
      add(file.readings, there?.readings, (rows) =>
        db
          .insert(readingTable)
          .values(rows.map((row) => ({ ...toRow(row), author })))
          .onConflictDoNothing()
          .returning({ id: readingTable.id }),
      ),
    () =>
      add(
        file.recordings,
        there?.recordings,
        (rows) =>
          db
            .insert(recordingTable)
            .values(
              rows.map(({ data, takenAt, ...row }) => ({
                ...row,
                author,
                takenAt: new Date(takenAt),
                deflated: Buffer.from(data, 'base64'),
              })),
            )
            .onConflictDoNothing()
            .returning({ id: recordingTable.id }),
        // Each may be of many megabytes.
        1,
      ),
    () =>
      add(file.revisions, there?.revisions, (rows) =>
        db
          .insert(recordingRevisionTable)
          .values(rows.map((row) => ({ ...row, author, revisedAt: new Date(row.revisedAt) })))
          .onConflictDoNothing()
          .returning({ id: recordingRevisionTable.id }),
      ),
    () =>
      add(file.verdicts, there?.verdicts, (rows) =>
        db
          .insert(verdictTable)
          .values(rows.map((row) => ({ ...row, author, decidedAt: new Date(row.decidedAt) })))
          .onConflictDoNothing()
          .returning({ id: verdictTable.id }),
      ),
  ];
  for (const list of lists) {
    const done = await list();
    if (!done.ok) return done;
  }
  return ok(added);
}

/** PostgreSQL takes 65,535 values in one statement. */
const ROWS_AT_ONCE = 500;

export const conflict = (id: string) =>
  fail(
    'id-conflict',
    say('server.id-belongs-different-record', { id: verbatim(id) }),
    say('server.nothing-taken-in-correct-file'),
  );
