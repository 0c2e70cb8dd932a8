import { ambientFrom, type PressureUnit } from '@lettura/core/quantity';
import type { CaseFile } from '@lettura/core/reasoning';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '@lettura/core/uncertainty';
import { standingReadings, type Reading } from './readings.ts';
import type { Sensor } from './sensors.ts';

/** A job's record as the reasoning wants it: the same on the server, which guards the gate, and on the screen. */
export function caseFileOf(
  { readings, sensor }: { readings: readonly Reading[]; sensor: Pick<Sensor, 'profile'> },
  pressureUnit: PressureUnit,
): CaseFile {
  const standing = standingReadings(readings);
  const noted = standing.findLast((reading) => reading.kind === 'ambient');
  const ambient = noted && ambientFrom(noted.ambient);
  return {
    profile: sensor.profile,
    ambient: ambient?.ok ? ambient.value : undefined,
    readings: standing.filter((reading) => reading.kind !== 'ambient'),
    meter: COMMON_METER,
    gauge: COMMON_VACUUM_GAUGE,
    pressureUnit,
  };
}
