export { expectedManifoldPressure, HEALTHY_IDLE_KPA_ABS, type PressureBand } from './enginePressure.ts';
export { expectedValue, withTolerance } from './expectedValue.ts';
export {
  commonGauge,
  FAMILIES,
  familyOf,
  isLinked,
  isVacuumGauged,
  usualTap,
  type FamilySpec,
} from './families.ts';
export { FAMILY_IDS, type FamilyId } from './familyIds.ts';
export { liveDataStep } from './liveDataStep.ts';
export { canBePumped, isPumpedDown, movedState, mustMove } from './movedState.ts';
export type { ExpectationFault, ValueBand, ValueContext } from './valueBand.ts';
export { NOTE_STEPS, type NoteStep, type TradeNote } from './tradeNote.ts';
export { notesAt, notesReplacing } from './tradeNotes.ts';
