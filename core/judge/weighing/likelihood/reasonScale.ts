import { type Complaint } from '../../../record/code/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import type { Places } from '../prediction/places.ts';
import type { Scale } from '../prediction/scales.ts';
import { shownSteps, type ShownSteps } from '../prediction/shownSteps.ts';
import { reasonFor } from './codeEvidence.ts';

const QUARTERS = 4;
/** How sure the unit’s reason would be, in quarters. */
export const REASON_SCALE: Scale = {
  steps: QUARTERS + 1,
  stepOf: (reason) => Math.round(QUARTERS * reason),
  readAt: (step) => step / QUARTERS,
};

/** The reason that the unit would have, in quarters, whether it is likely or not. */
export function reasonSteps(
  complaint: Complaint,
  caseFile: CaseFile,
  table: AnswerTable,
  places: Places,
): ShownSteps {
  const reason = reasonFor(complaint, caseFile);
  return shownSteps(REASON_SCALE, table, places, (seen) => REASON_SCALE.stepOf(reason(seen, 0)));
}
