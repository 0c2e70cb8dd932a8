import type { MachineState, Lane } from '@lettura/core/machine/places';
import type { FaultKindId, SiteId } from '@lettura/core/machine/fault';
import type { WiringSpec } from '@lettura/core/machine/wiring';
import type { CaseLetter } from './practiceCases.ts';
import type { BenchSensor } from './sensors/usualSensor.ts';

/** What the day and the engine give a machine; differs from one seed to the next, within what is sound. */
export interface Surroundings {
  ambientKpaAbs: number;
  airCelsius: number;
  /** Of the intake manifold while idling. */
  idleKpaAbs: number;
  /** −1 to 1: where this machine stands in the spread of sound ones. */
  individual: number;
}

/** A hidden fault of a practice case: a kind of the catalogue, and one of its sites. */
export interface CaseFault {
  kind: FaultKindId;
  site: SiteId;
  /** Of its size range, 0 to 1; the seed chooses within. */
  from?: number;
  to?: number;
  /** Present only while the loom is moved. */
  onlyWhenWiggled?: boolean;
}

export interface CodeNames {
  low: string;
  high: string;
}

/** A simulated machine of the demo scenario: one sensor, its harness, its control unit, and what drives it. */
export interface BenchMachine {
  id: string;
  name: string;
  sensor: BenchSensor;
  wiring: WiringSpec;
  litres?: number;
  ambientKpaAbs: number;
  /** What the sensor should meet, in its measurand's unit. */
  quantity(state: MachineState, surroundings: Surroundings): number;
  /** Shown in live data in place of a signal that is past its limits. */
  substituted: number;
  /** Codes that the unit sets by its own thresholds, by the wire that they are about. */
  codes: Partial<Record<Lane, CodeNames>>;
  /** Set while the reference is out of its range; and while two tracks part. */
  referenceCode?: string;
  pairCode?: string;
  /** The signal line carries telegrams: what the unit calls a line without any, and one that something holds at a voltage. */
  telegrams?: { missingCode: string; heldCode: string };
  cases: Record<CaseLetter, readonly CaseFault[]>;
}
