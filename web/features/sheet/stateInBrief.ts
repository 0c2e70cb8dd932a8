import { isOnSensor, type MachineState } from '@lettura/core/machine/places';
import { briefState } from '../../ui/inWords.ts';

/** What is bridged to feed a sensor past its plug is told with how it is done, and not once more with the state. */
export const stateInBrief = (state: MachineState): string =>
  briefState(isOnSensor(state.harness) ? { ...state, harness: undefined } : state);
