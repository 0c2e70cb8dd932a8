import { fromShown, toShown, type Measurand, type PressureUnit } from '@lettura/core/measure/quantity';
import type { Tolerance } from '@lettura/core/measure/transfer';
import { z } from 'zod';
import { numberIn } from '../../ui/numberIn.ts';

export const TOLERANCE_FORMS = ['plus-minus', 'of-span', 'of-value', 'temperature-band'] as const;

export const toleranceText = z.object({
  form: z.enum(TOLERANCE_FORMS),
  /** ± in the shown unit, or %. */
  size: z.string(),
  atLeast: z.string(),
  /** One `°C factor` a line. */
  multipliers: z.string(),
});
export type ToleranceText = z.infer<typeof toleranceText>;

export const EMPTY_TOLERANCE: ToleranceText = {
  form: 'plus-minus',
  size: '2',
  atLeast: '0',
  multipliers: '-40 3\n0 1\n85 1\n125 3',
};

export function toleranceFrom(text: ToleranceText, measures: Measurand, unit: PressureUnit): Tolerance {
  const size = numberIn(text.size);
  switch (text.form) {
    case 'plus-minus':
      return { form: 'plus-minus', plusMinus: fromShown(size, measures, unit) };
    case 'of-span':
      return { form: 'of-span', percent: size };
    case 'of-value':
      return { form: 'of-value', percent: size, atLeast: fromShown(numberIn(text.atLeast), measures, unit) };
    case 'temperature-band':
      return {
        form: 'temperature-band',
        plusMinus: fromShown(size, measures, unit),
        multipliers: text.multipliers
          .split('\n')
          .filter((line) => line.trim() !== '')
          .map((line) => line.trim().split(/[\s;]+/u))
          .map(([celsius = '', factor = '']) => ({ celsius: numberIn(celsius), factor: numberIn(factor) })),
      };
  }
}

export function toleranceAsText(
  tolerance: Tolerance,
  measures: Measurand,
  unit: PressureUnit,
): ToleranceText {
  const shown = (value: number): string => String(Number(toShown(value, measures, unit).toPrecision(9)));
  switch (tolerance.form) {
    case 'plus-minus':
      return { ...EMPTY_TOLERANCE, form: 'plus-minus', size: shown(tolerance.plusMinus) };
    case 'of-span':
      return { ...EMPTY_TOLERANCE, form: 'of-span', size: String(tolerance.percent) };
    case 'of-value':
      return {
        ...EMPTY_TOLERANCE,
        form: 'of-value',
        size: String(tolerance.percent),
        atLeast: shown(tolerance.atLeast),
      };
    case 'temperature-band':
      return {
        ...EMPTY_TOLERANCE,
        form: 'temperature-band',
        size: shown(tolerance.plusMinus),
        multipliers: tolerance.multipliers.map(({ celsius, factor }) => `${celsius} ${factor}`).join('\n'),
      };
  }
}
