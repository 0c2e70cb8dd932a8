import { signalFromValue } from './convertSignal.ts';
import { boundOf } from './rangeEnd.ts';
import type { SensorProfile } from './sensorProfile.ts';

export type SignalBand = 'circuit-low' | 'in-range' | 'out-of-range' | 'circuit-high';

/** Where the control unit's own judgement puts a signal. Volts against battery negative, as the unit sees them. */
export function signalBand(signalVolts: number, referenceVolts: number, profile: SensorProfile): SignalBand {
  if (signalVolts < profile.circuitLowVolts) return 'circuit-low';
  if (signalVolts > profile.circuitHighVolts) return 'circuit-high';
  return boundOf(signalVolts, referenceVolts, profile) ? 'out-of-range' : 'in-range';
}

/** The signal at both ends of the sensor's range, lower volts first: a falling sensor has them swapped. */
export function validBandVolts(referenceVolts: number, profile: SensorProfile): readonly [number, number] {
  const low = signalFromValue(profile.lowest, referenceVolts, profile).signalVolts;
  const high = signalFromValue(profile.highest, referenceVolts, profile).signalVolts;
  return low < high ? [low, high] : [high, low];
}
