import { newReading } from '@lettura/contract';
import { z } from 'zod';
import type { OutboxEntry, OutboxState } from './outboxEntry.ts';

const PREFIX = 'lettura.outbox.';

/** One key an entry, so that two tabs of one browser never write over each other's waiting readings. */
export const outboxStorage = {
  load(): OutboxEntry[] {
    const entries: OutboxEntry[] = [];
    for (const key of storedKeys()) {
      const parsed = newReading.safeParse(upgraded(parse(localStorage.getItem(key))));
      if (parsed.success) entries.push({ reading: parsed.data });
    }
    return entries.sort((a, b) => a.reading.id.localeCompare(b.reading.id)); // UUID v7 sorts by time
  },

  /** Writes what is new and removes what this page has sent or discarded; other pages' entries stay. */
  save(before: OutboxState, after: OutboxState): void {
    try {
      const now = new Set(after.entries.map(({ reading }) => reading.id));
      const was = new Set(before.entries.map(({ reading }) => reading.id));
      for (const id of was) if (!now.has(id)) localStorage.removeItem(PREFIX + id);
      for (const { reading } of after.entries) {
        if (!was.has(reading.id)) localStorage.setItem(PREFIX + reading.id, JSON.stringify(reading));
      }
    } catch {
      // Without storage the readings wait as long as the page lives; the banner says that they are waiting.
    }
  },
};

function storedKeys(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(PREFIX));
  } catch {
    return [];
  }
}

/** Live data of the first version was manifold pressure alone, under another name: what waits from then still goes out. */
function upgraded(stored: unknown): unknown {
  const old = oldLiveData.safeParse(stored);
  if (!old.success) return stored;
  const { pressureKpaAbs, ...rest } = old.data;
  return { ...rest, measures: 'absolute-pressure', value: pressureKpaAbs };
}
const oldLiveData = z.looseObject({ kind: z.literal('scan'), pressureKpaAbs: z.number() });

function parse(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}
