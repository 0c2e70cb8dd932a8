import type { ReadingWarning } from '@lettura/core/measure/quantity';

/** What the last thing done was, so that it can be undone at once. */
export interface Done {
  message: string;
  warnings: ReadingWarning[];
  /** What one more press does, in a word, and does it; none where there is nothing more to undo. */
  undo?: { label: string; run: () => void } | undefined;
}

export interface LastDone {
  now: () => Done | undefined;
  set: (done: Done | undefined) => void;
  subscribe: (changed: () => void) => () => void;
}

/** The last thing done on a sheet, beside the sheet: to say it draws one bar anew, and nothing else. */
export function lastDone(): LastDone {
  let done: Done | undefined;
  const told = new Set<() => void>();
  return {
    now: () => done,
    set: (next) => {
      done = next;
      for (const changed of told) changed();
    },
    subscribe: (changed) => {
      told.add(changed);
      return () => told.delete(changed);
    },
  };
}
