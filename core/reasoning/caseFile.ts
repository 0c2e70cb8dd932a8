import type { Evidence } from '../evidence/index.ts';
import type { Ambient, PressureUnit } from '../quantity/index.ts';
import type { SensorProfile } from '../transfer/index.ts';
import type { GaugeAccuracy, MeterAccuracy } from '../uncertainty/index.ts';

/** All that is known of a job: what the weighing reasons from, whatever model it uses. */
export interface CaseFile {
  profile: SensorProfile;
  ambient: Ambient | undefined;
  /** In the order taken; withdrawn and superseded readings left out. */
  readings: readonly Evidence[];
  meter: MeterAccuracy;
  gauge: GaugeAccuracy;
  /** For the sentences only: nothing is decided in it. */
  pressureUnit: PressureUnit;
}
