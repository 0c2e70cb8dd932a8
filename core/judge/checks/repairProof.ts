import type { Evidence } from '../../record/evidence/index.ts';
import { isOffBand, type Expectation, type Fit } from '../expectation/index.ts';
import type { CaseFile } from './caseFile.ts';
import { fitOfReading } from './fitOfReading.ts';
import { isRepeat } from './isRepeat.ts';

/** One point in one state: what it read before the work, and what after it. */
export interface RepeatedReading {
  before: Evidence;
  beforeFit: Fit | undefined;
  /** The newest one since; undefined where it was not repeated. */
  after: Evidence | undefined;
  afterFit: Fit | undefined;
  /** What a sound machine shows there now. */
  expectation: Expectation | undefined;
}

/**
 * What the repeated readings prove of a repair:
 * `nothing-was-off` before it, so that nothing can be shown to have come right; `not-repeated` what was off, at least in
 * part; `still-off`; `something-else-off` that was not before; `proven`.
 */
export type RepairOutcome =
  'nothing-was-off' | 'not-repeated' | 'still-off' | 'something-else-off' | 'proven';

export interface RepairProof {
  outcome: RepairOutcome;
  /** In the order in which they were first read. */
  rows: readonly RepeatedReading[];
  /** Off after the work, and not off or not read before it. */
  newlyOff: readonly Evidence[];
}

/** The same tests again: each point of before with its reading of after, and what both together prove. */
export function repairProof(before: CaseFile, after: CaseFile): RepairProof {
  const points = before.readings.filter(
    (reading, i, all) => all.findIndex((other) => isRepeat(other, reading)) === i,
  );
  const rows = points.map((point): RepeatedReading => {
    const newest = before.readings.findLast((reading) => isRepeat(reading, point)) ?? point;
    const repeated = after.readings.findLast((reading) => isRepeat(reading, point));
    return {
      before: newest,
      beforeFit: fitOfReading(newest, before).fit,
      after: repeated,
      afterFit: repeated && fitOfReading(repeated, after).fit,
      expectation: fitOfReading(newest, after).expectation,
    };
  });
  const wasOff = rows.filter(({ beforeFit }) => isOffBand(beforeFit));
  const newlyOff = after.readings.filter(
    (reading, i, all) =>
      isOffBand(fitOfReading(reading, after).fit) &&
      !wasOff.some((row) => isRepeat(row.before, reading)) &&
      // Read again since, only the newest counts.
      !all.slice(i + 1).some((later) => isRepeat(later, reading)),
  );
  return { outcome: outcomeOf(wasOff, newlyOff), rows, newlyOff };
}

function outcomeOf(wasOff: readonly RepeatedReading[], newlyOff: readonly Evidence[]): RepairOutcome {
  if (wasOff.some(({ afterFit }) => isOffBand(afterFit))) return 'still-off';
  if (newlyOff.length > 0) return 'something-else-off';
  if (wasOff.length === 0) return 'nothing-was-off';
  return wasOff.every(({ afterFit }) => afterFit !== undefined) ? 'proven' : 'not-repeated';
}
