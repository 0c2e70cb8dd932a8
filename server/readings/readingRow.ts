import { reading as readingSchema, type Reading } from '@lettura/contract';
import type { z } from 'zod';
import type { readingTable } from '../db/schema.ts';

type Row = typeof readingTable.$inferSelect;

/** A reading as a row: what every line has in columns, and what its kind has as its payload. */
export function toRow(reading: Reading): Omit<typeof readingTable.$inferInsert, 'author'> {
  const { id, jobId, kind, takenAt, enteredText, supersedes, ...rest } = reading;
  const { instrumentId, ...payload } = { instrumentId: undefined, ...rest };
  return { id, jobId, kind, enteredText, supersedes, instrumentId, payload, takenAt: new Date(takenAt) };
}

/**
 * The row as it was sent. What may be written is checked where it is written, and may change: a line on record stays
 * readable as long as it has what its kind must have. Throws for a damaged row, by its id.
 */
export function fromRow(row: Row): Reading {
  const reading = {
    ...row.payload,
    id: row.id,
    jobId: row.jobId,
    kind: row.kind,
    takenAt: row.takenAt.toISOString(),
    enteredText: row.enteredText,
    ...(row.supersedes ? { supersedes: row.supersedes } : {}),
    ...(row.instrumentId ? { instrumentId: row.instrumentId } : {}),
  };
  const lacking = (REQUIRED.get(row.kind) ?? ['kind']).find(
    (name) => !(name in reading) || !REQUIRED.has(row.kind),
  );
  if (lacking) throw new Error(`Reading ${row.id} lacks the ${lacking} of its kind, ${row.kind}.`);
  return reading as Reading;
}

/** By kind: what the contract demands of it. */
const REQUIRED: ReadonlyMap<string, readonly string[]> = new Map(
  readingSchema.options.map(({ shape }) => [
    shape.kind.value,
    Object.entries<z.ZodType>(shape).flatMap(([name, schema]) => (schema.isOptional() ? [] : [name])),
  ]),
);
