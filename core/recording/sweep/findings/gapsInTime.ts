import { say } from '../../../measure/message/index.ts';
import type { Recording } from '../recording.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { andMore, clock, lasting } from './words.ts';

/** As long as this many usual steps, and at least as long as anyone would miss. */
const GAP_STEPS = 20;
const LEAST_GAP_SECONDS = 0.25;
/** Looked at together: fewer than the steps of a gap, so that a steady rate is passed over. */
const STRIDE = 16;

/** Stretches from which nothing was recorded: whatever happened there was not seen. */
export function gapsInTime(recording: Recording, _context: SweepContext): SweepFinding[] {
  const { seconds } = recording;
  const span = (seconds.at(-1) ?? 0) - (seconds[0] ?? 0);
  const usual = span / Math.max(1, seconds.length - 1);
  const least = Math.max(LEAST_GAP_SECONDS, GAP_STEPS * usual);
  const gaps: { from: number; to: number }[] = [];
  const last = seconds.length - 1;
  for (let first = 0; first < last; first += STRIDE) {
    const end = Math.min(last, first + STRIDE);
    // Moments only go forward: what they do together, none does alone.
    if (seconds[end]! - seconds[first]! < least) continue;
    for (let to = first + 1; to <= end; to++)
      if (seconds[to]! - seconds[to - 1]! >= least) gaps.push({ from: to - 1, to });
  }
  const shown = gaps.slice(0, MOST_OF_A_KIND).map(({ from, to }): SweepFinding => ({
    kind: 'gap',
    weight: 'note',
    sentence: say('sweep.nothing-recorded-into-recording', {
      lasting: lasting(seconds[to]! - seconds[from]!),
      clock: clock(seconds[from]!),
    }),
    channel: 0,
    fromSeconds: seconds[from]!,
    untilSeconds: seconds[to]!,
  }));
  return [
    ...shown,
    ...andMore('gap', gaps.length, shown.length, say('sweep.recording-breaks-off'), 0, gaps, recording),
  ];
}
