import { type Message } from '../../measure/message/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import { type MachineState } from '../../machine/places/index.ts';
import { type ValueContext } from '../../machine/family/index.ts';
import { type Measurand } from '../../measure/quantity/index.ts';

export interface Expectation {
  /** Volts, or the measurand's own unit. */
  of: 'volts' | Measurand;
  lowest: number;
  highest: number;
  /** Wider limits, where the band is but a rule of thumb; in the same unit. */
  atMost?: readonly [lowest: number, highest: number];
  reason: Message;
}

export interface ExpectationContext extends ValueContext {
  /** As measured at the plug, or the nominal value. */
  referenceVolts: number;
  /** How far the reference may be off that; 0 where it was read. */
  referenceDoubtVolts?: number | undefined;
  /** As measured at the plug under load, or 0. */
  returnVolts?: number | undefined;
  companion?: Companion | undefined;
  /** The signal as read at the plug in a state, where it was. */
  signalVolts?: (state: MachineState) => number | undefined;
}
