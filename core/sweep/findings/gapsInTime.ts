import type { Recording } from '../recording.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { clock, lasting } from './words.ts';

/** As long as this many usual steps, and at least as long as anyone would miss. */
const GAP_STEPS = 20;
const LEAST_GAP_SECONDS = 0.25;

/** Stretches from which nothing was recorded: whatever happened there was not seen. */
export function gapsInTime({ seconds }: Recording, _context: SweepContext): SweepFinding[] {
  const span = (seconds.at(-1) ?? 0) - (seconds[0] ?? 0);
  const usual = span / Math.max(1, seconds.length - 1);
  const least = Math.max(LEAST_GAP_SECONDS, GAP_STEPS * usual);
  const found: SweepFinding[] = [];
  for (let i = 1; i < seconds.length && found.length < MOST_OF_A_KIND; i++) {
    const gap = seconds[i]! - seconds[i - 1]!;
    if (gap < least) continue;
    found.push({
      kind: 'gap',
      weight: 'note',
      sentence: `Nothing was recorded for ${lasting(gap)}, ${clock(seconds[i - 1]!)} into the recording.`,
      channel: 0,
      fromSeconds: seconds[i - 1]!,
      untilSeconds: seconds[i]!,
    });
  }
  return found;
}
