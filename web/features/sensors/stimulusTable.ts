import { fromKpa, toShown, type PressureUnit } from '@lettura/core/measure/quantity';
import { isPumpedDown } from '@lettura/core/machine/family';
import { pumpSteps, type Pumped } from '@lettura/core/judge/checks';
import { curveOf, toleranceAt } from '@lettura/core/measure/transfer';

export interface StimulusRow {
  /** As set on the pump, or as the arm or the air stands, in the reader's unit. */
  setting: number;
  /** In the measurand's unit. */
  value: number;
  volts: number;
  lowestVolts: number;
  highestVolts: number;
}

const PUMP_POINTS = 6;
const OTHER_POINTS = 9;

/**
 * What the sensor should read as its stimulus goes up step by step: a hand pump for pressures, against ambient where
 * the sensor counts from nothing; travel or flow over the range for the others.
 */
export function stimulusTable(
  sensor: Pumped,
  ambientKpaAbs: number,
  units: { absolute: PressureUnit; vacuum: PressureUnit },
  sensorCelsius?: number,
): StimulusRow[] {
  const { family, profile } = sensor;
  const curve = curveOf(profile, profile.nominalReferenceVolts);
  const { measures, lowest, highest } = profile;
  const row = (setting: number, value: number): StimulusRow => {
    const tolerance = toleranceAt(value, profile, sensorCelsius);
    const ends = [curve.voltsAt(value - tolerance), curve.voltsAt(value + tolerance)];
    return {
      setting,
      value,
      volts: curve.voltsAt(value),
      lowestVolts: Math.min(...ends),
      highestVolts: Math.max(...ends),
    };
  };
  if (
    measures === 'absolute-pressure' ||
    measures === 'gauge-pressure' ||
    measures === 'differential-pressure'
  ) {
    const down = isPumpedDown(family, measures);
    const unit = down ? units.vacuum : units.absolute;
    return pumpSteps(sensor, ambientKpaAbs, unit, PUMP_POINTS).map((kpa) =>
      row(Math.abs(fromKpa(kpa, unit)), (measures === 'absolute-pressure' ? ambientKpaAbs : 0) + kpa),
    );
  }
  return Array.from({ length: OTHER_POINTS }, (_, i) => {
    const value = lowest + ((highest - lowest) * i) / (OTHER_POINTS - 1);
    return row(toShown(value, measures, units.absolute), value);
  });
}
