import { laneSaid, type Lane } from '@lettura/core/machine/places';
import type { Shift } from '@lettura/core/judge/isolation';
import { formatValue, type Measurand } from '@lettura/core/measure/quantity';
import { ohmsInWords } from '@lettura/core/measure/quantity';
import type { Units } from '../../ui/units.ts';
import { said } from '../../ui/words.ts';

/** What ohms found in a wire do to the reading, in its own unit. */
export function shiftInWords(
  { ohms, milliamps, shift, atValue }: Shift,
  lane: Lane,
  measures: Measurand,
  units: Units,
): string {
  if (!Number.isFinite(ohms)) return `The ${said(laneSaid(lane))} is open: nothing passes.`;
  const show = (value: number) => formatValue(value, measures, units.absolute);
  const found = `${ohmsInWords(ohms)} in the ${said(laneSaid(lane))} at ${milliamps < 0.1 ? 'next to no current' : `${milliamps.toFixed(1)} mA`}`;
  if (shift === undefined) return `${found}: the unit sees no signal any more.`;
  const by = show(Math.abs(shift));
  // Less than the display has digits for.
  return Number.parseFloat(by) === 0
    ? `${found} does not shift this reading.`
    : `${found} shifts this reading by ${by} ${shift > 0 ? 'upwards' : 'downwards'}, at ${show(atValue)}.`;
}
