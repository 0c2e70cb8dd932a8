import { lanesIn } from '@lettura/core/record/evidence';
import { isTakenReading, standingReadings, type Reading, type TakenReading } from './readings.ts';
import { lanesOf, type Pin } from './sensorParts.ts';
import type { Sensor } from './sensors.ts';

/** Readings that stand and would mean nothing on another sensor: of wires that it lacks, or of something else than it measures. */
export function withoutPlace(
  readings: readonly Reading[],
  sensor: Pick<Sensor, 'profile' | 'companion' | 'pins'>,
  pins: readonly Pin[] | undefined,
): TakenReading[] {
  const lanes = lanesOf({ ...sensor, pins: pins ?? sensor.pins });
  return standingReadings(readings)
    .filter(isTakenReading)
    .filter((reading) =>
      reading.kind === 'scan'
        ? reading.measures !== sensor.profile.measures
        : !lanesIn(reading).every((lane) => lanes.includes(lane)),
    );
}
