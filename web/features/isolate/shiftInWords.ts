import { laneSaid, type Lane } from '@lettura/core/machine/places';
import type { Shift } from '@lettura/core/judge/isolation';
import { formatValue, type Measurand } from '@lettura/core/measure/quantity';
import { ohmsInWords } from '@lettura/core/measure/quantity';
import type { Units } from '../../ui/units.ts';
import { said, t } from '../../ui/words.ts';

/** What ohms found in a wire do to the reading, in its own unit. */
export function shiftInWords(
  { ohms, milliamps, shift, atValue }: Shift,
  lane: Lane,
  measures: Measurand,
  units: Units,
): string {
  if (!Number.isFinite(ohms)) return t('ui-isolate.open-nothing-passes', { lane: said(laneSaid(lane)) });
  const show = (value: number) => formatValue(value, measures, units.absolute);
  const found = t('ui-isolate.in-the-at', {
    ohms: ohmsInWords(ohms),
    lane: said(laneSaid(lane)),
    which:
      milliamps < 0.1
        ? t('ui-isolate.next-no-current')
        : t('ui-isolate.ma', { milliamps: milliamps.toFixed(1) }),
  });
  if (shift === undefined) return t('ui-isolate.unit-sees-no-signal-any', { found });
  const by = show(Math.abs(shift));
  // Less than the display has digits for.
  return Number.parseFloat(by) === 0
    ? t('ui-isolate.does-not-shift-reading', { found })
    : t('ui-isolate.shifts-reading', {
        found,
        by,
        which: shift > 0 ? 'upwards' : 'downwards',
        atValue: show(atValue),
      });
}
