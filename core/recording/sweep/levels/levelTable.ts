import { smallestDeviation } from '../deviations.ts';
import type { Direction, HeldReading } from './heldReadings.ts';
import { zeroBasedDeviation } from './zeroBasedDeviation.ts';

/** One level with its errors, reading by reading: what the sensor said minus what it should have, in the unit of the readings. */
export interface Level {
  level: number;
  up: readonly number[];
  down: readonly number[];
  /** Of the mean upscale and the mean downscale error, as far as it was read both ways. */
  meanError: number;
}

/** How far, in per cent of the span, and at which level. */
export interface LevelFigure {
  percent: number;
  at: number;
}

/**
 * Figures of a calibration by levels that were held, in per cent of the span: IEC 61298-2:2008, clause 4 (terms and how each is
 * worked out from memory).
 */
export interface LevelFigures {
  /** Of any reading: the largest error above, and the largest below what it should be; undefined where all lie on the other side. */
  mostAbove: LevelFigure | undefined;
  mostBelow: LevelFigure | undefined;
  /** Upscale minus downscale, each the mean at its level, where it is largest; undefined without a level read both ways. */
  hysteresis: LevelFigure | undefined;
  /** Between readings of one level from one direction; undefined where none was read twice. */
  repeatability: (LevelFigure & { direction: Direction }) | undefined;
  /** Of the mean errors: from the line through both ends, the line through the lower end, and the line that fits best. */
  terminalNonLinearity: LevelFigure;
  zeroBasedNonLinearityPercent: number;
  independentNonLinearityPercent: number;
}

export interface LevelTable {
  levels: readonly Level[];
  figures: LevelFigures;
}

/** Levels nearer to each other than this share of the span are one. */
const SAME_LEVEL_SHARE = 0.015;
/** Fewer levels are no calibration. */
const LEAST_LEVELS = 3;

/**
 * Errors by level and direction, with the figures of the whole.
 *
 * @param span of the sensor, in the unit of the readings
 * @returns undefined with fewer than three levels
 */
export function levelTable(readings: readonly HeldReading[], span: number): LevelTable | undefined {
  const levels = grouped(readings, SAME_LEVEL_SHARE * span).map(levelOf);
  if (levels.length < LEAST_LEVELS || !(span > 0)) return undefined;
  return { levels, figures: figuresOf(levels, span) };
}

function grouped(readings: readonly HeldReading[], apart: number): HeldReading[][] {
  const groups: HeldReading[][] = [];
  for (const reading of readings.toSorted((a, b) => a.level - b.level)) {
    const last = groups.at(-1);
    if (last && reading.level - last.at(-1)!.level <= apart) last.push(reading);
    else groups.push([reading]);
  }
  return groups;
}

function levelOf(readings: readonly HeldReading[]): Level {
  const errors = (wanted: Direction) =>
    readings.filter(({ direction }) => direction === wanted).map(({ reads, level }) => reads - level);
  const [up, down] = [errors('up'), errors('down')];
  const means = [up, down].filter((one) => one.length > 0).map(mean);
  return { level: mean(readings.map(({ level }) => level)), up, down, meanError: mean(means) };
}

function figuresOf(levels: readonly Level[], span: number): LevelFigures {
  const figure = (value: number, { level }: Level): LevelFigure => ({
    percent: (100 * value) / span,
    at: level,
  });
  const all = levels.flatMap((one) => [...one.up, ...one.down].map((error) => figure(error, one)));
  const bothWays = levels.filter(({ up, down }) => up.length > 0 && down.length > 0);
  const again = (['up', 'down'] as const).flatMap((direction) =>
    levels
      .filter((one) => one[direction].length > 1)
      .map((one) => ({ ...figure(spread(one[direction]), one), direction })),
  );
  const at = levels.map(({ level }) => level);
  const errors = levels.map(({ meanError }) => meanError);
  const ends = errors.map((error, i) => figure(error - onTerminalLine(at, errors, i), levels[i]!));
  return {
    mostAbove: farthest(all.filter(({ percent }) => percent > 0)),
    mostBelow: farthest(all.filter(({ percent }) => percent < 0)),
    hysteresis: farthest(bothWays.map((one) => figure(mean(one.up) - mean(one.down), one))),
    repeatability: farthest(again),
    terminalNonLinearity: farthest(ends)!,
    zeroBasedNonLinearityPercent: (100 * zeroBasedDeviation(at, errors)) / span,
    independentNonLinearityPercent: (100 * smallestDeviation(at, errors)) / span,
  };
}

const onTerminalLine = (at: readonly number[], errors: readonly number[], i: number): number => {
  const [first, last] = [at[0]!, at.at(-1)!];
  return errors[0]! + ((errors.at(-1)! - errors[0]!) * (at[i]! - first)) / (last - first);
};
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);
const farthest = <F extends LevelFigure>(all: readonly F[]): F | undefined =>
  all.reduce<F | undefined>(
    (most, one) => (most === undefined || Math.abs(one.percent) > Math.abs(most.percent) ? one : most),
    undefined,
  );
