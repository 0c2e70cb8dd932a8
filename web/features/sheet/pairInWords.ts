import { formatValue, type Measurand } from '@lettura/core/measure/quantity';
import type { Pair } from '@lettura/core/judge/checks';
import { enInWords } from '@lettura/core/measure/uncertainty';
import { upperFirst } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

/** One comparison in a sentence: whether they agree, by how much, and what would settle it where they cannot tell. */
export function pairInWords(
  { a, b, comparison, matters }: Omit<Pair, 'a' | 'b'> & { a: string; b: string },
  measures: Measurand,
  units: Units,
): string {
  const { outcome, difference, expandedUncertainty, en, limitedBy, sufficientLimits, ofBound } = comparison;
  const show = (value: number) => formatValue(value, measures, units.absolute);
  const side = difference >= 0 ? 'above' : 'below';
  if (ofBound && outcome === 'cannot-tell')
    return `? These cannot be compared. ${upperFirst(a)} or ${b} is at ${limitedBy}: it tells a side, and no number.`;
  const size = `${ofBound ? 'at least ' : ''}${show(Math.abs(difference))}`;
  const doubt = `±${show(expandedUncertainty)}${en === undefined ? '' : `, En ${enInWords(en)}`}`;
  const said = `${upperFirst(a)} is ${size} ${side} ${b} (${doubt})`;
  switch (outcome) {
    case 'agree':
      return `✓ Agree. ${said}.`;
    case 'disagree':
      return matters
        ? `✕ Disagree, and it matters. ${said}.`
        : `~ Disagree, but too little to matter. ${said}.`;
    case 'cannot-tell': {
      const cure =
        sufficientLimits === undefined
          ? 'even a perfect one would not do alone'
          : `±${show(sufficientLimits)} there would do`;
      return `? These instruments cannot tell. ${said}; the limit is ${limitedBy}: ${cure}.`;
    }
  }
}
