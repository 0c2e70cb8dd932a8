import type { AnyEvidence, WireReading } from '../../../record/evidence/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { isSameAct } from './aboutReadings.ts';
import { normal } from './readingLikelihood.ts';
import type { Likely } from './seenBefore.ts';

/*
 * A wire read again that showed the same. A slip is of one act of measuring, and the next act comes out right; but now and then
 * somebody takes one pin for another, goes back to it, and reads the same as often as asked.
 */

/** Of all acts, so many are on a wrong pin that is taken again (our own starting value). */
const STAYS_SHARE = 0.008;
/** Of one and the same pin two readings differ by this, one standard deviation. */
const AGAIN_VOLTS = 0.012;
const AGAIN_SHARE = 0.003;
/** Farther apart than so many of these, they are not of one pin. */
const NOT_THE_SAME = 3;
/** A reading is told by so many of those that showed the same: more of them tell no more. */
const MOST_TOLD_BY = 3;

const sigmaOf = (volts: number): number => AGAIN_VOLTS + AGAIN_SHARE * Math.abs(volts);

/** One reading by itself. */
export interface Act {
  volts: number;
  likely: Likely;
  /** What `likely` is at least, because it may be mistaken. */
  floor: number;
  /** How likely another pin of the plug shows it, per volt. */
  onAnotherPin: number;
}

/**
 * Those readings of the same spot in the same state that showed the same, by which this one is told: the lowest first, since no order of
 * readings makes a difference.
 */
export function shownAlready(reading: WireReading, { readings }: Pick<CaseFile, 'readings'>): WireReading[] {
  const at = readings.findIndex(({ id }) => id === reading.id);
  const isBefore = (one: AnyEvidence, i: number): one is WireReading =>
    one.kind === 'wire' &&
    (one.volts < reading.volts || (one.volts === reading.volts && i < at)) &&
    reading.volts - one.volts <= NOT_THE_SAME * sigmaOf(reading.volts) &&
    isSameAct(one, reading);
  return readings
    .filter(isBefore)
    .sort((a, b) => a.volts - b.volts)
    .slice(0, MOST_TOLD_BY);
}

/**
 * How likely a reading is beside those that showed the same: all of them together are as likely as each by itself, or as one pin that
 * was taken for another.
 *
 * @param others as `shownAlready` gives them
 */
export function likelyBeside(one: Act, others: readonly Act[]): Likely {
  const first = others[0];
  if (!first) return one.likely;
  const again = ({ volts, floor }: Act): number => normal(volts - first.volts, sigmaOf(volts)) + floor;
  const stayed = others
    .slice(1)
    .reduce((product, act) => product * again(act), STAYS_SHARE * first.onAnotherPin);
  const staysOn = stayed * again(one);
  // A single reading has in its floor whatever slips, staying or not.
  const before = others.length > 1 ? stayed : 0;
  return (predicted, spread) => {
    let each = 1;
    for (const { likely } of others) each *= likely(predicted, spread);
    return (each * one.likely(predicted, spread) + staysOn) / (each + before);
  };
}
