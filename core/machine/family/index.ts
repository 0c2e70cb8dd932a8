export { expectedManifoldPressure, HEALTHY_IDLE_KPA_ABS, type PressureBand } from './enginePressure.ts';
export {
  expectedValue,
  withTolerance,
  type ExpectationFault,
  type ValueBand,
  type ValueContext,
} from './expectedValue.ts';
export { liveDataStep } from './liveDataStep.ts';
export { canBePumped, FAMILIES, FAMILY_IDS, familyOf, type Family, type FamilyId } from './families.ts';
export { movedState, mustMove } from './movedState.ts';
