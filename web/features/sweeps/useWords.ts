import type { ChannelUse } from '@lettura/core/recording/sweep';
import { t } from '../../ui/words.ts';

/** What a channel can be, in the words of the screen. */
export const USE_WORDS: Record<ChannelUse, string> = {
  signal: 'Signal (track 1)',
  'second-signal': t('ui-sweeps.second-signal-track-2'),
  reference: t('ui-sweeps.reference'),
  live: t('ui-sweeps.live-data'),
  stimulus: t('ui-sweeps.stimulus-gauge-angle'),
  revs: t('ui-sweeps.engine-speed'),
  other: t('ui-sweeps.something-else'),
};
