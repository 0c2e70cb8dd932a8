import type { ChannelUse } from '@lettura/core/recording/sweep';

/** What a channel can be, in the words of the screen. */
export const USE_WORDS: Record<ChannelUse, string> = {
  signal: 'Signal (track 1)',
  'second-signal': 'Second signal (track 2)',
  reference: 'Reference',
  live: 'Live data',
  stimulus: 'Stimulus (gauge, angle)',
  revs: 'Engine speed',
  other: 'Something else',
};
