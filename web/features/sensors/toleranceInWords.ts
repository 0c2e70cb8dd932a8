import { formatValue } from '@lettura/core/measure/quantity';
import type { SensorProfile } from '@lettura/core/measure/transfer';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';

export function toleranceInWords({ tolerance, measures }: SensorProfile, units: Units): string {
  const show = (value: number) => formatValue(value, measures, units.absolute);
  switch (tolerance.form) {
    case 'plus-minus':
      return `±${show(tolerance.plusMinus)}`;
    case 'of-span':
      return t('ui-sensors.of-the-span', { percent: tolerance.percent });
    case 'of-value':
      return t('ui-sensors.value-least', { percent: tolerance.percent, atLeast: show(tolerance.atLeast) });
    case 'temperature-band': {
      const widest = tolerance.multipliers.reduce((most, { factor }) => Math.max(most, factor), 1);
      return t('ui-sensors.room-temperature-up-times-wide', { plusMinus: show(tolerance.plusMinus), widest });
    }
  }
}
