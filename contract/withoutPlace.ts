import { isPressure, type Measurand } from '@lettura/core/measure/quantity';
import { sendsPulses } from '@lettura/core/measure/transfer';
import { lanesIn } from '@lettura/core/record/evidence';
import { isTakenReading, standingReadings, type Reading, type TakenReading } from './readings.ts';
import { lanesOf, type Pin } from './sensorParts.ts';
import type { Sensor } from './sensors.ts';

/**
 * Readings that stand and would mean nothing on another sensor: of wires that it lacks, of something else than it measures,
 * or with something done to it that cannot be done to that one.
 */
export function withoutPlace(
  readings: readonly Reading[],
  sensor: Pick<Sensor, 'profile' | 'companion' | 'pins'>,
  pins: readonly Pin[] | undefined,
): TakenReading[] {
  const lanes = lanesOf({ ...sensor, pins: pins ?? sensor.pins });
  const { measures } = sensor.profile;
  return standingReadings(readings)
    .filter(isTakenReading)
    .filter(
      (reading) =>
        !canBeDoneTo(measures, reading.state.stimulus?.kind) ||
        (reading.kind === 'gauge' && !isPressure(measures)) ||
        (reading.kind === 'engine-flow' && measures !== 'air-flow') ||
        (reading.kind === 'duty' && !sendsPulses(sensor.profile)) ||
        (reading.kind === 'scan' && reading.measures !== measures) ||
        !lanesIn(reading).every((lane) => lanes.includes(lane)),
    );
}

function canBeDoneTo(
  measures: Measurand,
  stimulus: NonNullable<TakenReading['state']['stimulus']>['kind'] | undefined,
): boolean {
  switch (stimulus) {
    case undefined:
      return true;
    case 'pump':
    case 'valve-open':
      return isPressure(measures);
    case 'held':
    case 'full-travel':
      return measures === 'position' || measures === 'angle';
  }
}
