import { isPressure, type Measurand } from '../../measure/quantity/index.ts';
import type { MachineState } from '../places/index.ts';
import { FAMILIES } from './families.ts';
import type { FamilyId } from './familyIds.ts';

/** Where the machine itself drives the quantity away from its resting value. */
export const movedState = (id: FamilyId): MachineState | undefined => FAMILIES[id].moves;

/** Whether a signal that stays where it was in that state is stuck. */
export const mustMove = (id: FamilyId): boolean => FAMILIES[id].mustMove;

/** Whether a hand pump draws on it: an absolute sensor is pumped down from ambient, all others, and boost, up. */
export const isPumpedDown = (id: FamilyId, measures: Measurand): boolean =>
  measures === 'absolute-pressure' && !FAMILIES[id].pumpedUp;

/** Whether a hand pump can be put on a sensor of this family. */
export const canBePumped = (id: FamilyId): boolean =>
  isPressure(FAMILIES[id].measures[0]) && FAMILIES[id].pumped;
