import { datesIn } from '@lettura/words';
import { t } from './words.ts';

export { day } from '@lettura/words';

const AGE = new Intl.RelativeTimeFormat('en-GB', { style: 'narrow' });

export function ageInWords(instant: string, nowMs: number): string {
  const minutes = Math.round((nowMs - Date.parse(instant)) / 60_000);
  if (minutes < 1) return t('ui.just-now');
  if (minutes < 60) return AGE.format(-minutes, 'minute');
  if (minutes < 48 * 60) return AGE.format(-Math.round(minutes / 60), 'hour');
  return AGE.format(-Math.round(minutes / 1440), 'day');
}

export const { clockTime, dayAndClock, dayAndTime } = datesIn();
