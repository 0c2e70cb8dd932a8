import type { Measurand } from '../../measure/quantity/index.ts';
import { SCAN_STEP_KPA } from '../../measure/uncertainty/index.ts';
import type { FamilyId } from './families.ts';

/**
 * Steps of standard live data, SAE J1979 service 01: manifold (0B) and barometric (33) pressure 1 kPa, throttle (11)
 * and pedal (49) 100/255 %, air flow (10) 0.01 g/s, fuel rail pressure (23, the item that is read) 10 kPa. Others are the maker's own: one
 * unit is taken.
 */
export function liveDataStep(family: FamilyId, measures: Measurand): number {
  if (family === 'fuel-rail-pressure') return 10;
  if (measures === 'position') return 100 / 255;
  if (measures === 'air-flow') return 0.01;
  return SCAN_STEP_KPA;
}
