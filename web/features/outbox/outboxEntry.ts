import type { NewReading } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';

/** A reading that the server has not confirmed yet. It counts on the sheet from the moment it is entered. */
export interface OutboxEntry {
  reading: NewReading;
  /** Set when the server refused it for good: it waits for a person. */
  refused?: Problem;
  /** This browser could not write it down: it lives as long as the page does. */
  notKept?: boolean;
}
/** Something that waits and that this version cannot read as a reading. */
export interface Unreadable {
  key: string;
  /** As it was typed, or all that lies there. */
  text: string;
}
export interface OutboxState {
  entries: OutboxEntry[];
  unreadable: Unreadable[];
  /** Why the last attempt failed, while it is going to be tried again. */
  waitingBecause?: Problem;
}
