import type { z } from 'zod';

export interface Stored<T> {
  load(): T;
  save(value: T): void;
  clear(): void;
}

/** A value kept in this browser. What an older version left, or a full or closed storage, gives the fallback. */
export function stored<T>(key: string, schema: z.ZodType<T>, fallback: T): Stored<T> {
  return {
    load() {
      try {
        const text = localStorage.getItem(key);
        const parsed = text === null ? undefined : schema.safeParse(JSON.parse(text));
        return parsed?.success ? parsed.data : fallback;
      } catch {
        return fallback;
      }
    },
    save(value) {
      try {
        localStorage.setItem(key, JSON.stringify(value));
      } catch {
        // Private windows may refuse; the value then lives as long as the page.
      }
    },
    clear() {
      try {
        localStorage.removeItem(key);
      } catch {
        // As above.
      }
    },
  };
}
