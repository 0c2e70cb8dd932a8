import type { Measurand } from '../../measure/quantity/index.ts';
import { SCAN_STEP_KPA } from '../../measure/uncertainty/index.ts';
import { FAMILIES } from './families.ts';
import type { FamilyId } from './familyIds.ts';

/**
 * Steps of standard live data, SAE J1979 service 01: manifold (0B) and barometric (33) pressure 1 kPa, throttle (11)
 * and pedal (49) 100/255 %, air flow (10) 0.01 g/s, fuel rail pressure (23, the item that is read) 10 kPa. Others are the maker's own: one
 * unit is taken.
 */
export function liveDataStep(family: FamilyId, measures: Measurand): number {
  const { liveStep } = FAMILIES[family];
  if (liveStep !== undefined) return liveStep;
  if (measures === 'position') return 100 / 255;
  if (measures === 'air-flow') return 0.01;
  return SCAN_STEP_KPA;
}
