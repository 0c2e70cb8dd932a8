import type { TimeForm } from '@lettura/core/recording/file';
import { t } from '../../ui/words.ts';

export const TIME_WORDS: Record<Exclude<TimeForm, 'none'>, string> = {
  s: t('ui-sweeps.time-seconds'),
  ms: t('ui-sweeps.time-milliseconds'),
  µs: t('ui-sweeps.time-microseconds'),
  clock: t('ui-sweeps.time-day'),
  date: t('ui-sweeps.date-time'),
};
