import { standingReadings, type JobSheet, type Reading } from '@lettura/contract';
import { spotOf } from '@lettura/core/machine/places';
import { toShown } from '@lettura/core/measure/quantity';
import { unitInWords } from '../../ui/unitInWords.ts';
import { briefState, gaugeUnit, placeInWords, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

type Measured = Extract<Reading, { kind: 'wire' | 'between' | 'ohms' | 'gauge' | 'scan' }>;

/** One reading of a point, in the order of time. */
export interface PointReading {
  id: string;
  jobId: string;
  takenAt: string;
  /** In the unit that the words have; undefined for OL, which is no number that could be drawn. */
  value: number | undefined;
  words: string;
}

/** One point of a machine in one state, with all that was ever read there. */
export interface PointOverTime {
  key: string;
  sensor: string;
  place: string;
  state: string;
  /** Of the values. */
  unit: string;
  readings: readonly PointReading[];
}

/** Every point that was read more than once, those read most often first. What was corrected or taken back is left out. */
export function pointsOverTime(jobs: readonly JobSheet[], units: Units): PointOverTime[] {
  const points = new Map<string, Omit<PointOverTime, 'readings'> & { readings: PointReading[] }>();
  for (const { job, sensor, readings } of jobs)
    for (const reading of standingReadings(readings)) {
      if (!isMeasured(reading)) continue;
      const value = shownValue(reading, units);
      const basis = reading.kind === 'gauge' ? reading.basis : '';
      const key = JSON.stringify([sensor.lineageId, spotOf(reading), reading.state, basis]);
      const point = points.get(key) ?? {
        key,
        sensor: sensor.name,
        place: placeInWords(reading),
        state: briefState(reading.state),
        unit: shownUnit(reading, units),
        readings: [],
      };
      points.set(key, point);
      const { id, takenAt } = reading;
      point.readings.push({ id, jobId: job.id, takenAt, value, words: valueInWords(reading, units) });
    }
  return [...points.values()]
    .filter(({ readings }) => readings.length > 1)
    .map((point) => ({
      ...point,
      readings: point.readings.sort((a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id)),
    }))
    .sort((a, b) => b.readings.length - a.readings.length || a.place.localeCompare(b.place));
}

const isMeasured = (reading: Reading): reading is Measured =>
  ['wire', 'between', 'ohms', 'gauge', 'scan'].includes(reading.kind);

function shownValue(reading: Measured, units: Units): number | undefined {
  switch (reading.kind) {
    case 'wire':
    case 'between':
      return reading.volts;
    case 'ohms':
      return reading.ohms ?? undefined;
    case 'gauge':
      return toShown(reading.pressureKpa, 'absolute-pressure', gaugeUnit(reading.basis, units));
    case 'scan':
      return toShown(reading.value, reading.measures, units.absolute);
  }
}

function shownUnit(reading: Measured, units: Units): string {
  switch (reading.kind) {
    case 'wire':
    case 'between':
      return 'V';
    case 'ohms':
      return 'Ω';
    case 'gauge':
      return gaugeUnit(reading.basis, units);
    case 'scan':
      return unitInWords(reading.measures, units.absolute);
  }
}
