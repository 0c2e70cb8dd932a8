import { and, desc, eq, ne, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Database } from '../db/connect.ts';
import { readingTable } from '../db/schema.ts';

/**
 * By job: the day on which it is to be looked at again, from the last such line that stands. What was read or looked at on
 * that day or later is the recheck, and ends it.
 */
export function rechecks(db: Database) {
  const later = alias(readingTable, 'later');
  const onDate = sql<string>`${readingTable.payload} -> 'followUp' ->> 'onDate'`;
  return db
    .selectDistinctOn([readingTable.jobId], { jobId: readingTable.jobId, onDate: onDate.as('on_date') })
    .from(readingTable)
    .where(
      and(
        eq(readingTable.kind, 'follow-up'),
        sql`${readingTable.payload} -> 'followUp' ->> 'what' = 'recheck'`,
        notExists(db.select().from(later).where(eq(later.supersedes, readingTable.id))),
        notExists(
          db
            .select()
            .from(later)
            .where(
              and(
                eq(later.jobId, readingTable.jobId),
                ne(later.id, readingTable.id),
                ne(later.kind, 'withdrawal'),
                sql`${later.takenAt} >= (${onDate})::timestamp at time zone 'UTC'`,
              ),
            ),
        ),
      ),
    )
    .orderBy(readingTable.jobId, desc(readingTable.sequence))
    .as('rechecks');
}
