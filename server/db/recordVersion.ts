import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import type { Recorded } from '../http/serve.ts';
import { recordOnce } from './recordOnce.ts';

interface Version {
  id: string;
  lineageId: string;
  version: number;
}

/** How one table of versions is read and written. */
export interface VersionedTable<T extends Version> {
  find: (id: string) => Promise<T | undefined>;
  /** Nothing where the id, or the place in the lineage, is taken. */
  insert: (row: T) => Promise<T | undefined>;
}

type Given<T extends Version> = Omit<T, 'lineageId' | 'version'> & { replaces?: string | undefined };

/**
 * A row of a versioned table: the first of a lineage of its own, or the next of the one it replaces. Two people who
 * replace the same version both ask for the same place in the lineage; the second is told.
 */
export async function recordVersion<T extends Version>(
  { replaces, ...given }: Given<T>,
  { find, insert }: VersionedTable<T>,
): Promise<Result<Recorded<T>, 'id-conflict' | 'unknown-reference' | 'changed-elsewhere'>> {
  const place = await placeOf(given.id, replaces, find);
  if (!place.ok) return place;
  const row = { ...given, ...place.value } as unknown as T;
  const recorded = await recordOnce(
    row,
    () => insert(row),
    () => find(row.id),
  );
  // The id is free, so the place in the lineage is what was taken.
  return !recorded.ok && !(await find(row.id)) ? changedElsewhere() : recorded;
}

async function placeOf<T extends Version>(
  id: string,
  replaces: string | undefined,
  find: VersionedTable<T>['find'],
): Promise<Result<Pick<Version, 'lineageId' | 'version'>, 'unknown-reference'>> {
  if (!replaces) return ok({ lineageId: id, version: 1 });
  const replaced = await find(replaces);
  return replaced
    ? ok({ lineageId: replaced.lineageId, version: replaced.version + 1 })
    : fail('unknown-reference', say('server.replaces-not-known'), say('server.open-again-list'));
}

const changedElsewhere = () =>
  fail(
    'changed-elsewhere',
    say('server.somebody-saved-newer-version-meanwhile'),
    say('server.open-newest-version-look-make'),
  );
