import { t } from '../../ui/words.ts';

/** A lamp of a quarter ampere: below a third of that it only glows. */
export function lampInWords(amps: number): string {
  const milliamps = t('ui-bench.ma', { amps: (amps * 1000).toFixed(0) });
  if (amps < 0.02) return t('ui-bench.dark', { milliamps });
  return amps < 0.08
    ? t('ui-bench.glows-weakly', { milliamps })
    : amps < 0.2
      ? t('ui-bench.dim', { milliamps })
      : t('ui-bench.bright', { milliamps });
}
