import { toleranceAt } from '../../../measure/transfer/index.ts';
import { asMeasured } from '../asMeasured.ts';
import { besideStimulus, type BesideStimulus } from '../besideStimulus.ts';
import type { SweepContext } from '../findings/finding.ts';
import type { Recording } from '../recording.ts';
import { heldReadings, type HeldReading } from './heldReadings.ts';
import { levelTable, type LevelTable } from './levelTable.ts';

/** A sensor held at level after level beside a stimulus that was recorded with it. */
export interface Calibration extends LevelTable {
  readings: readonly HeldReading[];
  /** How many levels lay outside the range of the sensor, and say nothing of it. */
  beyondRange: number;
  /** At how many the signal was past the limits of its circuit, or missing. */
  withoutValue: number;
  supply: BesideStimulus['supply'];
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
  const beside = besideStimulus(recording, read);
  if (!beside) return undefined;
  const { stimulus, output, supply } = beside;
  const span = profile.highest - profile.lowest;
  const held = heldReadings(recording.seconds, stimulus, output, span);
  const within = held.filter(
    ({ level }) => level >= profile.lowest - END_SHARE * span && level <= profile.highest + END_SHARE * span,
  );
  const readings = within.filter(({ reads }) => Number.isFinite(reads));
  const table = levelTable(readings, span);
  const allowed = (level: number) => toleranceAt(level, profile);
  return (
    table && {
      ...table,
      readings,
      beyondRange: held.length - within.length,
      withoutValue: within.length - readings.length,
      supply,
      span,
      allowedPercent: table.levels.map(({ level }) => (100 * allowed(level)) / span),
      exceeds: readings.some(({ level, reads }) => Math.abs(reads - level) > allowed(level)),
    }
  );
}
