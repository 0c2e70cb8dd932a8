import { say } from '../../../measure/message/index.ts';
import type { Recording } from '../recording.ts';
import { MOST_OF_A_KIND, type SweepContext, type SweepFinding } from './finding.ts';
import { andMore, clock, lasting } from './words.ts';

/** As long as this many usual steps, and at least as long as anyone would miss. */
const GAP_STEPS = 20;
const LEAST_GAP_SECONDS = 0.25;

/** Stretches from which nothing was recorded: whatever happened there was not seen. */
export function gapsInTime(recording: Recording, _context: SweepContext): SweepFinding[] {
  const { seconds } = recording;
  const span = (seconds.at(-1) ?? 0) - (seconds[0] ?? 0);
  const usual = span / Math.max(1, seconds.length - 1);
  const least = Math.max(LEAST_GAP_SECONDS, GAP_STEPS * usual);
  const gaps: { from: number; to: number }[] = [];
  for (let i = 1; i < seconds.length; i++)
    if (seconds[i]! - seconds[i - 1]! >= least) gaps.push({ from: i - 1, to: i });
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
