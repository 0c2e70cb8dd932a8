import type { SweepMark } from '@lettura/core/recording/sweep';
import type { View } from './useView.ts';

/** The marks of a stretch, counted from its own start. */
export const marksWithin = (marks: readonly SweepMark[], { fromSeconds, toSeconds }: View): SweepMark[] =>
  marks
    .filter(({ atSeconds }) => fromSeconds <= atSeconds && atSeconds <= toSeconds)
    .map((mark) => ({ ...mark, atSeconds: mark.atSeconds - fromSeconds }));
