import { type Lane } from '../../machine/places/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import type { FamilyId } from '../../machine/family/index.ts';
import { type SensorProfile } from '../../measure/transfer/index.ts';

/** The sensor of a job, as far as its circuit goes. */
export interface IsolatedSensor {
  family: FamilyId;
  profile: SensorProfile;
  companion?: Companion | undefined;
  wires: readonly Lane[];
}
