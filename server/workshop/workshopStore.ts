import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import type { Workshop, WorkshopChange } from '@lettura/contract';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { workshopTable } from '../db/schema.ts';
import type { Actor } from '../http/actor.ts';

/** There is one. */
const ID = 1;
const NOBODY: Workshop = { name: '', address: '', revision: 0 };

export const workshopStore = (db: Database) => ({
  async get(): Promise<Workshop> {
    const [row] = await db.select().from(workshopTable).where(eq(workshopTable.id, ID));
    return row ? fromRow(row) : NOBODY;
  },

  /** Changes only from the revision that was on the screen. */
  async change(
    { revision, picture, ...said }: WorkshopChange,
    { author: changedBy }: Actor,
  ): Promise<Result<Workshop, 'workshop-changed'>> {
    const values = {
      ...said,
      picture: picture ?? null,
      revision: revision + 1,
      changedBy,
      changedAt: new Date(),
    };
    const [row] =
      revision === 0
        ? await db
            .insert(workshopTable)
            .values({ id: ID, ...values })
            .onConflictDoNothing()
            .returning()
        : await db
            .update(workshopTable)
            .set(values)
            .where(and(eq(workshopTable.id, ID), eq(workshopTable.revision, revision)))
            .returning();
    return row
      ? ok(fromRow(row))
      : fail(
          'workshop-changed',
          say('server.workshop-changed-elsewhere'),
          say('server.look-at-it-change-again'),
        );
  },
});

const fromRow = ({ name, address, picture, revision }: typeof workshopTable.$inferSelect): Workshop => ({
  name,
  address,
  ...(picture === null ? {} : { picture }),
  revision,
});
