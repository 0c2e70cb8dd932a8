import { type AnyEvidence } from '../../../record/evidence/index.ts';
import { isPulses, keyOn, type Lane, type MachineState, type Place } from '../../../machine/places/index.ts';
import type { Joint } from '../../../machine/wiring/index.ts';

/** The places that a joint of the loom lies between. */
export function besideJoint(joint: Joint): readonly Place[] {
  switch (joint) {
    case 'first':
      return ['unit', 'connector'];
    case 'second':
      return ['connector', 'plug'];
    case 'plug':
      return ['plug'];
    case 'unit':
    case 'inside':
      return [];
  }
}

/** Whether a reading was taken there and in such a state, nothing else clipped on. */
export const isAt = (reading: AnyEvidence, lane: Lane, place: Place, state: MachineState): boolean =>
  (reading.kind === 'wire' || isPulses(reading)) &&
  reading.lane === lane &&
  reading.place === place &&
  keyOn(reading.state) &&
  reading.state.plug === state.plug &&
  (!moves(state) || moves(reading.state)) &&
  (reading.state.harness?.attachments ?? []).length === 0 &&
  (reading.state.harness?.neighboursOff ?? []).length > 0 === (state.harness !== undefined);

/** Whatever moves it. */
const moves = ({ engine, stimulus }: MachineState): boolean => engine !== 'koeo' || stimulus !== undefined;
