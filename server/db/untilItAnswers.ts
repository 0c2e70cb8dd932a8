import { setTimeout as wait } from 'node:timers/promises';
import type { Logger } from 'pino';

const FIRST_WAIT_MS = 250;
const LONGEST_WAIT_MS = 5000;
/** PostgreSQL says no for good: wrong password, no such role or database. */
const REFUSED = /^(28|3D|42)/u;

/** A server may start before its database, or while that comes back: it waits and tries again. What is refused for good ends it. */
export async function untilItAnswers<T>(work: () => Promise<T>, log: Logger): Promise<T> {
  for (let waitMs = FIRST_WAIT_MS; ; waitMs = Math.min(2 * waitMs, LONGEST_WAIT_MS)) {
    try {
      return await work();
    } catch (error) {
      const codes: string[] = [];
      for (let at = error; at instanceof Error; at = at.cause)
        codes.push(String((at as { code?: unknown }).code));
      const isAway = codes.some((code) => /^(ECONN|ETIMEDOUT|ENOENT|EAI_|57|08|53)/u.test(code));
      const timedOut = error instanceof Error && /timeout|terminated/iu.test(error.message);
      if (codes.some((code) => REFUSED.test(code)) || (!isAway && !timedOut)) throw error;
      log.warn({ codes, nextTryMs: waitMs }, 'the database does not answer yet');
      await wait(waitMs);
    }
  }
}
