import { newReading, type NewReading } from '@lettura/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { z } from 'zod';
import type { OutboxEntry, Unreadable } from './outboxEntry.ts';

/** Where earlier versions kept what waits: one key an entry. */
const OLD_PREFIX = 'lettura.outbox.';

interface Waiting extends DBSchema {
  reading: { key: string; value: { id: string } };
}

let opened: Promise<IDBPDatabase<Waiting>> | undefined;
const database = () =>
  (opened ??= openDB<Waiting>('lettura-outbox', 1, {
    upgrade: (db) => void db.createObjectStore('reading', { keyPath: 'id' }),
  }).catch((error: unknown) => {
    opened = undefined; // a closed storage may be opened again later
    throw error;
  }));

/**
 * What the server has not confirmed yet, in this browser's own database: on the disk before it counts as kept. Each reading is
 * an entry of its own, so that two tabs of one browser never write over each other's.
 */
export const outboxStorage = {
  /** What waits, and what lies there and can no longer be read: that is shown, never passed over. */
  async load(): Promise<{ entries: OutboxEntry[]; unreadable: Unreadable[] }> {
    await moveOldEntries();
    const entries: OutboxEntry[] = [];
    const unreadable: Unreadable[] = [];
    for (const stored of await (await database()).getAll('reading')) {
      const parsed = newReading.safeParse(upgraded(stored));
      if (parsed.success) entries.push({ reading: parsed.data });
      else unreadable.push({ key: stored.id, text: textIn(stored) });
    }
    entries.sort((a, b) => a.reading.id.localeCompare(b.reading.id)); // UUID v7 sorts by time
    return { entries, unreadable };
  },

  /** Whether it stands on the disk: written, and read back. */
  async keep(reading: NewReading): Promise<boolean> {
    try {
      const db = await database();
      const write = db.transaction('reading', 'readwrite', { durability: 'strict' });
      await Promise.all([write.store.put(reading), write.done]);
      return (await db.get('reading', reading.id)) !== undefined;
    } catch {
      return false;
    }
  },

  async remove(id: string): Promise<void> {
    try {
      await (await database()).delete('reading', id);
    } catch {
      // Sent twice it changes nothing: the id is the reading's own.
    }
  },

  /** Asked once: a browser that is short of room then throws away other things first. */
  async askToStay(): Promise<void> {
    try {
      await navigator.storage?.persist?.();
    } catch {
      // Some browsers do not ask; then it is as safe as they make it.
    }
  },
};

/** Whatever an earlier version left is taken over, and only then let go of there. */
async function moveOldEntries(): Promise<void> {
  const db = await database();
  for (const key of oldKeys()) {
    const text = localStorage.getItem(key) ?? '';
    const parsed = z.looseObject({ id: z.string() }).safeParse(parse(text));
    const stored = parsed.success ? parsed.data : { id: key.slice(OLD_PREFIX.length), enteredText: text };
    await db.put('reading', stored);
    localStorage.removeItem(key);
  }
}

function oldKeys(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(OLD_PREFIX));
  } catch {
    return [];
  }
}

/** What somebody typed, of an entry that is otherwise no reading any more. */
function textIn(stored: unknown): string {
  const { enteredText } = stored as { enteredText?: unknown };
  return typeof enteredText === 'string' && enteredText !== '' ? enteredText : JSON.stringify(stored);
}

/** Live data of the first version was manifold pressure alone, under another name: what waits from then still goes out. */
function upgraded(stored: unknown): unknown {
  const old = oldLiveData.safeParse(stored);
  if (!old.success) return stored;
  const { pressureKpaAbs, ...rest } = old.data;
  return { ...rest, measures: 'absolute-pressure', value: pressureKpaAbs };
}
const oldLiveData = z.looseObject({ kind: z.literal('scan'), pressureKpaAbs: z.number() });

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
