import { ok, type Result } from '@lettura/core/measure/problem';
import { sameRecord } from '../db/recordOnce.ts';
import { conflict } from './addLines.ts';

interface Version {
  id: string;
  lineageId: string;
  version: number;
}

/** A version whose place another one has here begins a lineage of its own. */
export async function takeInVersion<T extends Version>(
  given: T,
  find: (id: string) => Promise<T | undefined>,
  insert: (row: T) => Promise<unknown[]>,
): Promise<Result<true, 'id-conflict'>> {
  const there = await find(given.id);
  if (there) return sameRecord(there, given) ? ok(true) : conflict(given.id);
  const inserted = await insert(given);
  if (inserted.length > 0) return ok(true);
  return (await insert({ ...given, lineageId: given.id, version: 1 })).length > 0
    ? ok(true)
    : conflict(given.id);
}
