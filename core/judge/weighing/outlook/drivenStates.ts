import { type MachineState } from '../../../machine/places/index.ts';
import {
  canBePumped,
  isLinked,
  isPumpedDown,
  movedState,
  type FamilyId,
} from '../../../machine/family/index.ts';
import { SEA_LEVEL_KPA } from '../../../measure/quantity/index.ts';
import type { SensorProfile } from '../../../measure/transfer/index.ts';

export const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
export const FULL_TRAVEL: MachineState = { ...KOEO, stimulus: { kind: 'full-travel' } };
export const REVVED: MachineState = { engine: 'held-revs', plug: 'connected' };
export const VALVE_OPEN: MachineState = {
  engine: 'held-revs',
  plug: 'connected',
  stimulus: { kind: 'valve-open' },
};

/** Half way of what a hand does to the sensor itself, past whatever hose or linkage is before it. */
export function handState({ family, profile }: { family: FamilyId; profile: SensorProfile }) {
  const { measures } = profile;
  if (isLinked(family))
    return { ...KOEO, stimulus: { kind: 'held', percent: 50 } } as const satisfies MachineState;
  if (!canBePumped(family)) return undefined;
  return pumpedBy(0.5, isPumpedDown(family, measures) ? -40 : undefined, profile);
}

/** A second place of the same hand: what bends, stops or sticks on its way shows between two. */
export function fartherHandState({ family, profile }: { family: FamilyId; profile: SensorProfile }) {
  const { measures } = profile;
  if (isLinked(family))
    return { ...KOEO, stimulus: { kind: 'held', percent: 80 } } as const satisfies MachineState;
  if (!canBePumped(family)) return undefined;
  return pumpedBy(0.8, isPumpedDown(family, measures) ? -65 : undefined, profile);
}

/** Down from ambient by what a hand pump can do, else up by a share of what the sensor is made for. */
function pumpedBy(share: number, downKpa: number | undefined, { measures, lowest, highest }: SensorProfile) {
  const from = measures === 'absolute-pressure' ? SEA_LEVEL_KPA : Math.max(0, lowest);
  const kpaAboveAmbient = Math.round(downKpa ?? share * (highest - from));
  return { ...KOEO, stimulus: { kind: 'pump', kpaAboveAmbient } } as const satisfies MachineState;
}

/** At rest, driven by the machine, and moved by hand. */
export const drivenStates = (sensor: { family: FamilyId; profile: SensorProfile }): MachineState[] =>
  [KOEO, movedState(sensor.family), handState(sensor)].filter((state) => state !== undefined);
