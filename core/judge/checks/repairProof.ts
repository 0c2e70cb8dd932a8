import type { Message } from '../../measure/message/index.ts';
import type { Evidence } from '../../record/evidence/index.ts';
import { isOffBand, whyNoExpectation, type Expectation, type Fit } from '../expectation/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
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
  /** Why nothing can be expected there yet. */
  whyNone: Message | undefined;
}

/**
 * What the repeated readings prove of a repair:
 * `nothing-was-off` before it, so that nothing can be shown to have come right; `not-shown`: of what was off not all is shown to
 * be right yet; `still-off`; `something-else-off` that was not before; `proven`.
 */
export type RepairOutcome = 'nothing-was-off' | 'not-shown' | 'still-off' | 'something-else-off' | 'proven';

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
    const { expectation } = fitOfReading(newest, after);
    return {
      before: newest,
      beforeFit: fitOfReading(newest, before).fit,
      after: repeated,
      afterFit: repeated && fitOfReading(repeated, after).fit,
      expectation,
      whyNone: expectation ? undefined : whyNoExpectation(newest, newest.state, expectationContext(after)),
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
  return wasOff.every(({ afterFit }) => afterFit !== undefined) ? 'proven' : 'not-shown';
}
