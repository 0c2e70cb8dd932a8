import type { WorkedCase } from './patient.ts';

/** How often what was said is right, how long it took, and whether the weights mean what they say. */
export interface DiagnosisFigures {
  cases: number;
  decided: number;
  /** Of the decided ones. */
  classRight: number;
  placeRight: number;
  /** Of all, whatever was decided: the leader is right. */
  leadingClassRight: number;
  leadingPlaceRight: number;
  /** Of machines whose sensor is sound: it was condemned. */
  goodSensorsCondemned: number;
  soundSensors: number;
  medianReadings: number;
  medianMinutes: number;
  /** Mean squared distance of the classes' shares from what was true. */
  brier: number;
  /** Mean distance between the share of the leading class and how often it is right, in ten bins. */
  calibrationError: number;
  reliability: { share: number; right: number; count: number }[];
  medianMilliseconds: number;
}

export function diagnosisFigures(cases: readonly WorkedCase[]): DiagnosisFigures {
  const decided = cases.filter((one) => one.decided);
  const soundSensors = cases.filter(({ classTrue }) => classTrue !== 'sensor');
  const reliability = reliabilityOf(cases);
  return {
    cases: cases.length,
    decided: decided.length,
    classRight: count(decided, ({ classRight }) => classRight),
    placeRight: count(decided, ({ placeRight }) => placeRight),
    leadingClassRight: count(cases, ({ classRight }) => classRight),
    leadingPlaceRight: count(cases, ({ placeRight }) => placeRight),
    goodSensorsCondemned: count(soundSensors, (one) => one.decided && one.classSaid === 'sensor'),
    soundSensors: soundSensors.length,
    medianReadings: median(cases.map(({ readings }) => readings)),
    medianMinutes: median(cases.map(({ minutes }) => minutes)),
    brier: cases.reduce((sum, { brier }) => sum + brier, 0) / cases.length,
    calibrationError:
      reliability.reduce((sum, { share, right, count: of }) => sum + of * Math.abs(share - right), 0) /
      cases.length,
    reliability,
    medianMilliseconds: median(cases.map(({ milliseconds, readings }) => milliseconds / (readings + 1))),
  };
}

function reliabilityOf(cases: readonly WorkedCase[]): DiagnosisFigures['reliability'] {
  const bins = Array.from({ length: 10 }, () => [] as WorkedCase[]);
  for (const one of cases) bins[Math.min(9, Math.floor(10 * one.classShare))]!.push(one);
  return bins
    .filter((bin) => bin.length > 0)
    .map((bin) => ({
      share: bin.reduce((sum, { classShare }) => sum + classShare, 0) / bin.length,
      right: count(bin, ({ classRight }) => classRight) / bin.length,
      count: bin.length,
    }));
}

const count = <T>(of: readonly T[], wanted: (one: T) => boolean): number => of.filter(wanted).length;
const median = (numbers: readonly number[]): number =>
  numbers.toSorted((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;
const percent = (part: number, of: number): string =>
  of === 0 ? '–' : `${((100 * part) / of).toFixed(1)} %`;

/** In one line. */
export function figuresInWords(order: string, figures: DiagnosisFigures): string {
  const { cases, decided, medianReadings, medianMinutes, brier, calibrationError } = figures;
  return [
    `Diagnosis, ${cases} random machines, readings ${order}: ${decided} decided`,
    `of these class right ${percent(figures.classRight, decided)}, place right ${percent(figures.placeRight, decided)}`,
    `leader right over all ${percent(figures.leadingClassRight, cases)} and ${percent(figures.leadingPlaceRight, cases)}`,
    `sound sensors condemned ${figures.goodSensorsCondemned} of ${figures.soundSensors}`,
    `median ${medianReadings} readings, ${medianMinutes} minutes`,
    `Brier ${brier.toFixed(3)}, calibration error ${calibrationError.toFixed(3)}`,
    `${figures.medianMilliseconds.toFixed(0)} ms a judgement`,
  ].join('; ');
}

/** A table by one property, for the documents. */
export function figuresBy(cases: readonly WorkedCase[], by: (one: WorkedCase) => string): string {
  const groups = new Map<string, WorkedCase[]>();
  for (const one of cases) groups.set(by(one), [...(groups.get(by(one)) ?? []), one]);
  const rows = [...groups]
    .sort(([a], [b]) => a.localeCompare(b, 'en'))
    .map(([name, group]) => {
      const figures = diagnosisFigures(group);
      return `| ${name} | ${figures.cases} | ${percent(figures.decided, figures.cases)} | ${percent(figures.classRight, figures.decided)} | ${percent(figures.placeRight, figures.decided)} | ${percent(figures.leadingClassRight, figures.cases)} | ${percent(figures.leadingPlaceRight, figures.cases)} | ${figures.medianReadings} | ${figures.medianMinutes} |`;
    });
  return [
    '| | cases | decided | class right | place right | leader’s class right | leader’s place right | readings | minutes |',
    '|---|---|---|---|---|---|---|---|---|',
    ...rows,
  ].join('\n');
}
