import { z } from 'zod';

export interface Stored<T> {
  load(): T;
  save(value: T): void;
  clear(): void;
}

type Shelf = 'localStorage' | 'sessionStorage';

/** A value kept in this browser. What an older version left, or a full or closed storage, gives the fallback. */
export const stored = <T>(key: string, schema: z.ZodType<T>, fallback: T): Stored<T> =>
  storedOn('localStorage', key, schema, fallback);

function storedOn<T>(shelf: Shelf, key: string, schema: z.ZodType<T>, fallback: T): Stored<T> {
  return {
    load() {
      try {
        const text = globalThis[shelf].getItem(key);
        const parsed = text === null ? undefined : schema.safeParse(JSON.parse(text));
        return parsed?.success ? parsed.data : fallback;
      } catch {
        return fallback;
      }
    },
    save(value) {
      try {
        globalThis[shelf].setItem(key, JSON.stringify(value));
      } catch {
        // Private windows may refuse; the value then lives as long as the page.
      }
    },
    clear() {
      try {
        globalThis[shelf].removeItem(key);
      } catch {
        // As above.
      }
    },
  };
}

/**
 * The same for what somebody has not said yet: each tab keeps its own, and a new one takes up what was typed last in any.
 * Two tabs on one job overwrite nothing of each other's.
 */
export function ownDraft<T>(key: string, schema: z.ZodType<T>, fallback: T): Stored<T> {
  const last = stored(key, schema, fallback);
  // Null where this tab gave its own up: what another one typed is none of its business then.
  const own = storedOn<T | null | undefined>('sessionStorage', key, schema.nullable().optional(), undefined);
  return {
    load() {
      const kept = own.load();
      return kept === undefined ? last.load() : (kept ?? fallback);
    },
    save(value) {
      own.save(value);
      last.save(value);
    },
    clear() {
      const kept = own.load();
      if (kept === undefined || JSON.stringify(kept) === JSON.stringify(last.load())) last.clear();
      own.save(null);
    },
  };
}

export interface StoredByJob<T> {
  load(): Record<string, T>;
  /** Writes only what differs from `before`: a key pressed on one job touches no other, in this tab or the next. */
  save(now: Readonly<Record<string, T>>, before: Readonly<Record<string, T>>): void;
}

/** The same for values of jobs: each in a place of its own. What an older version kept in one is taken over. */
export function storedByJob<T>(key: string, schema: z.ZodType<T>): StoredByJob<T> {
  const prefix = `${key}.`;
  const placeOf = (jobId: string) => ownDraft<T | undefined>(prefix + jobId, schema.optional(), undefined);
  const idsOn = (shelf: Shelf): string[] => {
    try {
      return Object.keys(globalThis[shelf]).flatMap((one) =>
        one.startsWith(prefix) ? [one.slice(prefix.length)] : [],
      );
    } catch {
      return [];
    }
  };
  return {
    load() {
      const old = stored<Record<string, T>>(key, z.record(z.string(), schema), {});
      const all: Record<string, T> = old.load();
      for (const [jobId, value] of Object.entries(all)) placeOf(jobId).save(value);
      // Where the storage is full the old place stays: it is read again next time.
      const moved = idsOn('localStorage');
      if (Object.keys(all).every((jobId) => moved.includes(jobId))) old.clear();
      for (const jobId of new Set([...moved, ...idsOn('sessionStorage')])) {
        const value = placeOf(jobId).load();
        if (value !== undefined) all[jobId] = value;
      }
      return all;
    },
    save(now, before) {
      for (const [jobId, value] of Object.entries(now))
        if (value !== before[jobId]) placeOf(jobId).save(value);
      for (const jobId of Object.keys(before)) if (!(jobId in now)) placeOf(jobId).clear();
    },
  };
}
