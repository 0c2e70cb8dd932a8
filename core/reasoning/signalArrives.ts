import { meterLimitVolts, type MeterAccuracy } from '../uncertainty/index.ts';

/** What the unit's converter and ground may differ from a hand meter; a break differs by far more. */
const SAME_VOLTS = 0.05;

/** Whether two readings of one wire, in one state, are the same within what the meter can tell. */
export const signalArrives = (fromVolts: number, toVolts: number, meter: MeterAccuracy): boolean =>
  Math.abs(fromVolts - toVolts) <=
  SAME_VOLTS + meterLimitVolts(fromVolts, meter) + meterLimitVolts(toVolts, meter);
