import { standingReadings, type JobSheet, type Reading } from '@lettura/contract';
import { PULSES_KINDS, spotOf, type PulsesKind } from '@lettura/core/machine/places';
import { fromKpa, toShown } from '@lettura/core/measure/quantity';
import { unitInWords } from '../../ui/unitInWords.ts';
import { conditionsInWords, gaugeUnit, placeInWords, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

type Measured = Extract<
  Reading,
  { kind: 'wire' | 'between' | 'ohms' | PulsesKind | 'gauge' | 'scan' | 'live-volts' }
>;

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

/**
 * Every point that was read so often at least, those read most often first. What was corrected or taken back is left out.
 */
export function pointsOverTime(jobs: readonly JobSheet[], units: Units, fewest = 2): PointOverTime[] {
  const points = new Map<string, Omit<PointOverTime, 'readings'> & { readings: PointReading[] }>();
  for (const { job, sensor, readings } of jobs)
    for (const reading of standingReadings(readings)) {
      if (!isMeasured(reading)) continue;
      const { value, unit } = shownIn(reading, units);
      const basis = reading.kind === 'gauge' ? reading.basis : '';
      const key = JSON.stringify([sensor.lineageId, spotOf(reading), reading.state, basis]);
      const point = points.get(key) ?? {
        key,
        sensor: sensor.name,
        place: placeInWords(reading),
        state: conditionsInWords(reading.state, units),
        unit,
        readings: [],
      };
      points.set(key, point);
      const { id, takenAt } = reading;
      point.readings.push({ id, jobId: job.id, takenAt, value, words: valueInWords(reading, units) });
    }
  return [...points.values()]
    .filter(({ readings }) => readings.length >= fewest)
    .map((point) => ({
      ...point,
      readings: point.readings.sort((a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id)),
    }))
    .sort((a, b) => b.readings.length - a.readings.length || a.place.localeCompare(b.place));
}

const isMeasured = (reading: Reading): reading is Measured =>
  ['wire', 'between', 'ohms', ...PULSES_KINDS, 'gauge', 'scan', 'live-volts'].includes(reading.kind);

/** The number and the unit that the words have; no number for OL. */
function shownIn(reading: Measured, units: Units): { value: number | undefined; unit: string } {
  switch (reading.kind) {
    case 'wire':
    case 'live-volts':
    case 'between':
      return { value: reading.volts, unit: 'V' };
    case 'ohms':
      return { value: reading.ohms ?? undefined, unit: 'Ω' };
    case 'frequency':
      return { value: reading.hertz, unit: 'Hz' };
    case 'duty':
      return { value: reading.upPercent, unit: '%' };
    case 'gauge': {
      const unit = gaugeUnit(reading.basis, units);
      return { value: fromKpa(reading.pressureKpa, unit), unit };
    }
    case 'scan':
      return {
        value: toShown(reading.value, reading.measures, units.absolute),
        unit: unitInWords(reading.measures, units.absolute),
      };
  }
}
