import { MEASURANDS, type Measurand } from '../../measure/quantity/index.ts';
import { SCAN_STEP_KPA } from '../../measure/uncertainty/index.ts';
import { liveItemOf } from '../live/index.ts';
import { FAMILIES } from './families.ts';
import type { FamilyId } from './familyIds.ts';

/** Of one byte over a whole travel: the usual scale of a maker's own item. */
const POSITION_STEP = 100 / 255;
const FLOW_STEP = 0.01;

/**
 * Step of live data, in the measurand's unit: that of the family's standard item (SAE J1979 service 01) where it shows
 * the same quantity. Any other is the maker's own, and its step is taken to be the usual one of its quantity.
 */
export function liveDataStep(family: FamilyId, measures: Measurand): number {
  const { liveItem } = FAMILIES[family];
  const item = liveItem === undefined ? undefined : liveItemOf(liveItem);
  if (item && item.unit === MEASURANDS[measures].unit) return item.perCount;
  if (measures === 'position') return POSITION_STEP;
  if (measures === 'air-flow') return FLOW_STEP;
  return SCAN_STEP_KPA;
}
