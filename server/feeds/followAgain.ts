import { setTimeout as pause } from 'node:timers/promises';
import type { Message } from '@lettura/core/measure/message';
import { feedFaultOf } from './feedFault.ts';

export interface Waits {
  firstWaitMs?: number | undefined;
  longestWaitMs?: number | undefined;
}

const FIRST_WAIT_MS = 300;
const LONGEST_WAIT_MS = 5000;

/**
 * Follows a source until it is told to stop: each time it is lost it is tried again, after a wait that doubles until the
 * source works once more.
 *
 * @param follow runs for as long as the source lasts, and says when it works; ends by an error
 */
export async function followAgain(
  follow: (works: () => void) => Promise<void>,
  lost: (message: Message) => void,
  { firstWaitMs = FIRST_WAIT_MS, longestWaitMs = LONGEST_WAIT_MS, signal }: Waits & { signal: AbortSignal },
): Promise<void> {
  let waitMs = firstWaitMs;
  while (!signal.aborted) {
    try {
      await follow(() => (waitMs = firstWaitMs));
    } catch (error) {
      lost(feedFaultOf(error));
    }
    // Stopped while waiting: the loop ends by itself.
    await pause(waitMs, undefined, { signal }).catch(() => {});
    waitMs = Math.min(2 * waitMs, longestWaitMs);
  }
}
