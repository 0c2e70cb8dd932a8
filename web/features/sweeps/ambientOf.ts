import { standingReadings, type JobSheet } from '@lettura/contract';
import { ambientFrom } from '@lettura/core/measure/quantity';

/** The ambient pressure that stands on a job: what connects the bases of its recordings. */
export function ambientOf({ readings }: Pick<JobSheet, 'readings'>): number | undefined {
  const noted = standingReadings(readings).findLast((reading) => reading.kind === 'ambient');
  const ambient = noted && ambientFrom(noted.ambient);
  return ambient?.ok ? ambient.value.pressureKpaAbs : undefined;
}
