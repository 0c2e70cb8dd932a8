import type { Message } from '../../measure/message/index.ts';
import type { Result } from '../../measure/problem/index.ts';
import type { Ambient } from '../../measure/quantity/index.ts';
import type { Refrigerant } from '../../measure/refrigerant/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import type { MachineState } from '../places/index.ts';
import type { FamilyId } from './familyIds.ts';

/** A band in the unit of what the sensor measures, with the reason in one line. */
export interface ValueBand {
  lowest: number;
  highest: number;
  reason: Message;
  /** Wider limits, which other machines are sound within; a rule of thumb is no limit. */
  atMost?: readonly [lowest: number, highest: number];
}

export interface ValueContext {
  family: FamilyId;
  profile: SensorProfile;
  ambient: Ambient | undefined;
  /** Of the engine; for the flow at idle. */
  displacementLitres?: number | undefined;
  refrigerant?: Refrigerant | undefined;
}

export type ExpectationFault = 'needs-ambient' | 'needs-temperature' | 'needs-displacement' | 'makers-data';

/** What a sound sensor of a family reports in a state that nobody drives it in from outside; in the unit of what it measures. */
export type Expects = (state: MachineState, context: ValueContext) => Result<ValueBand, ExpectationFault>;
