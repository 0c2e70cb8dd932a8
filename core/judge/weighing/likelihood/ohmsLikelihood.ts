import type { OhmsReading } from '../../../record/evidence/index.ts';
import { MISTAKEN_SHARE, mixed, normal } from './readingLikelihood.ts';

/** Past this an ohmmeter shows OL. */
const OL_OHMS = 2e8;
const OHMS_SIGMA = 0.1;
/** Makers differ widely in what is inside a sensor. */
const BODY_SIGMA = 1.2;
const LEAD_OHMS = 0.4;
const OHMS_DECADES = 16;
export const MISTAKEN_OHMS = MISTAKEN_SHARE / OHMS_DECADES;

/** How well a resistance fits, per unit of its logarithm; leads and contacts are in it. */
export function ohmsLikelihood(
  { ohms }: Pick<OhmsReading, 'ohms'>,
  predictedOhms: number,
  throughABody = false,
): number {
  if (ohms !== null && !Number.isFinite(ohms)) throw new Error(`${ohms} is no reading of an ohmmeter.`);
  // On a live circuit the meter may show anything.
  if (predictedOhms < 0 || Number.isNaN(predictedOhms)) return 1 / OHMS_DECADES;
  const opened = predictedOhms >= OL_OHMS;
  if (ohms === null || opened) return mixed(ohms === null && opened ? 1 : 0, 1 / OHMS_DECADES);
  // Less than nothing is no resistance: a live circuit, or a slip of the pen.
  if (ohms < 0) return mixed(0, 1 / OHMS_DECADES);
  const distance = Math.log(ohms + LEAD_OHMS) - Math.log(predictedOhms + LEAD_OHMS);
  return mixed(normal(distance, throughABody ? BODY_SIGMA : OHMS_SIGMA), 1 / OHMS_DECADES);
}
