import { harnessSaid, type HarnessWork } from '@lettura/core/machine/places';
import { upperFirst } from '../../ui/inWords.ts';
import { valueSaid, t } from '../../ui/words.ts';

/** On the bar there is room for one thing; the rest stands drawn on the lanes. */
export function harnessInBrief(work: HarnessWork): string {
  const [first = '', ...others] = harnessSaid(work).list.map(valueSaid);
  return upperFirst(others.length > 0 ? t('ui-sheet.and-more', { first, length: others.length }) : first);
}
