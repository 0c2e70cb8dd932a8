import type { NewReading } from '@lettura/contract';
import type { Problem } from '@lettura/core/problem';

/** A reading that the server has not confirmed yet. It counts on the sheet from the moment it is entered. */
export interface OutboxEntry {
  reading: NewReading;
  /** Set when the server refused it for good: it waits for a person. */
  refused?: Problem;
}
export interface OutboxState {
  entries: OutboxEntry[];
  /** Why the last attempt failed, while it is going to be tried again. */
  waitingBecause?: Problem;
}
