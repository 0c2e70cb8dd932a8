import { fixed } from '@lettura/core/measure/message';
import type { TimeForm } from '@lettura/core/recording/file';
import { t } from '../../ui/words.ts';

export const TIME_WORDS: Record<Exclude<TimeForm, 'none'>, string> = {
  s: t('ui-sweeps.time-seconds'),
  ms: t('ui-sweeps.time-milliseconds'),
  µs: t('ui-sweeps.time-microseconds'),
  clock: t('ui-sweeps.time-day'),
  date: t('ui-sweeps.date-time'),
};

/** In milliseconds where the stretch is so short that seconds would show nothing of it. */
export const inMs = (stretchSeconds: number): boolean => stretchSeconds < 0.1;
/** A moment in a stretch of such a length. */
export const timeShown = (seconds: number, decimals: number, stretchSeconds: number) =>
  inMs(stretchSeconds) ? fixed(1000 * seconds, decimals, 'ms') : fixed(seconds, decimals, 's');
