import { formatValue } from '@lettura/core/measure/quantity';
import type { SensorProfile } from '@lettura/core/measure/transfer';
import type { Units } from '../../ui/units.ts';

export function toleranceInWords({ tolerance, measures }: SensorProfile, units: Units): string {
  const show = (value: number) => formatValue(value, measures, units.absolute);
  switch (tolerance.form) {
    case 'plus-minus':
      return `±${show(tolerance.plusMinus)}`;
    case 'of-span':
      return `±${tolerance.percent} % of the span`;
    case 'of-value':
      return `±${tolerance.percent} % of the value, at least ±${show(tolerance.atLeast)}`;
    case 'temperature-band': {
      const widest = tolerance.multipliers.reduce((most, { factor }) => Math.max(most, factor), 1);
      return `±${show(tolerance.plusMinus)} at room temperature, up to ${widest} times as wide in cold and heat`;
    }
  }
}
