import { toleranceAt, valuesFromSignals } from '../../../measure/transfer/index.ts';
import { asMeasured } from '../asMeasured.ts';
import type { SweepContext } from '../findings/finding.ts';
import type { Recording } from '../recording.ts';
import { atNominal } from '../supplyScale.ts';
import { heldReadings, type HeldReading } from './heldReadings.ts';
import { levelTable, type LevelTable } from './levelTable.ts';

/** A sensor held at level after level beside a stimulus that was recorded with it. */
export interface Calibration extends LevelTable {
  readings: readonly HeldReading[];
  /** How many levels lay outside the range of the sensor, and say nothing of it. */
  beyondRange: number;
  /** Of the sensor, in the unit of what it measures. */
  span: number;
  /** What the sensor is allowed at each level, in per cent of the span. */
  allowedPercent: readonly number[];
  /** A reading lies further off than it is allowed at its level. */
  exceeds: boolean;
}

/** A level this near to an end of the range, as a share of it, is the end. */
const END_SHARE = 0.01;

/**
 * The calibration that is in a recording: errors in the unit of what the sensor measures, on its own basis.
 *
 * @returns undefined where no stimulus was recorded that can be read, or fewer than three levels were held
 */
export function calibrationIn(given: Recording, context: SweepContext): Calibration | undefined {
  const { recording, context: read } = asMeasured(given, context);
  const { profile } = read;
  const [volts, stimulus] = (['signal', 'stimulus'] as const).map(
    (use) => recording.channels[read.uses.indexOf(use)]?.values,
  );
  if (!volts || !stimulus) return undefined;
  const output = new Float64Array(volts.length);
  valuesFromSignals(atNominal(recording, read, volts), profile.nominalReferenceVolts, profile, output);
  const span = profile.highest - profile.lowest;
  const held = heldReadings(recording.seconds, stimulus, output, span);
  const readings = held.filter(
    ({ level }) => level >= profile.lowest - END_SHARE * span && level <= profile.highest + END_SHARE * span,
  );
  const table = levelTable(readings, span);
  const allowed = (level: number) => toleranceAt(level, profile);
  return (
    table && {
      ...table,
      readings,
      beyondRange: held.length - readings.length,
      span,
      allowedPercent: table.levels.map(({ level }) => (100 * allowed(level)) / span),
      exceeds: readings.some(({ level, reads }) => Math.abs(reads - level) > allowed(level)),
    }
  );
}
