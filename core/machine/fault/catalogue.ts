import type { Fault, FaultKind, FaultSpec, FaultSubject } from './faultKind.ts';
import { faultOf } from './faultKind.ts';
import { PHYSICAL_FAULTS } from './physicalFaults.ts';
import { SENSOR_FAULTS } from './sensorFaults.ts';
import { FAULT_KIND_IDS, type FaultKindId } from '../kinds/index.ts';
import { UNIT_FAULTS } from './unitFaults.ts';
import { WIRE_FAULTS } from './wireFaults.ts';

/** Every fault that this product knows. What each looks like and where it hides is common practice. */
const SPECS: Readonly<Record<FaultKindId, FaultSpec>> = {
  ...WIRE_FAULTS,
  ...UNIT_FAULTS,
  ...SENSOR_FAULTS,
  ...PHYSICAL_FAULTS,
};
/** Every kind of fault, by name. */
export const FAULT_KINDS: readonly FaultKind[] = FAULT_KIND_IDS.map((id) => ({ id, ...SPECS[id] }));

/** Every single fault that a machine can have, at the middle of its size range or at a share of it. */
export const allFaults = (subject: FaultSubject, at = 0.5): Fault[] =>
  FAULT_KINDS.flatMap((kind) => kind.sites(subject).map((site) => faultOf(kind, site, at)));

const KINDS = new Map(FAULT_KINDS.map((kind) => [kind.id, kind]));
/** A kind of fault by its id; every id has one. */
export const faultKind = (id: FaultKindId): FaultKind => KINDS.get(id)!;
