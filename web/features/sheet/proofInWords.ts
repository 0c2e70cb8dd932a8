import type { RepairProof } from '@lettura/core/judge/checks';
import type { Evidence } from '@lettura/core/record/evidence';
import { isOffBand } from '@lettura/core/judge/expectation';
import { briefState, placeInWords } from '../../ui/inWords.ts';
import { t } from '../../ui/words.ts';

/** As many as a sentence can hold; the table has them all. */
const MOST_NAMED = 3;

/** What the repeated readings prove, in one sentence whose counts are those of the table below it. */
export function proofInWords({ outcome, rows, newlyOff }: RepairProof): string {
  const wasOff = rows.filter(({ beforeFit }) => isOffBand(beforeFit));
  const open = wasOff.filter(({ afterFit }) => afterFit === undefined);
  const stillOff = wasOff.flatMap(({ after, afterFit }) => (after && isOffBand(afterFit) ? [after] : []));
  const unrepeated = rows.filter(({ after }) => after === undefined).length;
  switch (outcome) {
    case 'proven':
      return t('ui-sheet.proof-proven', { count: wasOff.length, unrepeated });
    case 'not-shown':
      return t('ui-sheet.proof-not-shown', { open: open.length, count: wasOff.length });
    case 'still-off':
      return t('ui-sheet.proof-still-off', named(stillOff));
    case 'something-else-off':
      return t('ui-sheet.proof-something-else', named(newlyOff));
    case 'nothing-was-off':
      return t('ui-sheet.proof-nothing-was-off');
  }
}

const named = (readings: readonly Evidence[]) => ({
  names: readings
    .slice(0, MOST_NAMED)
    .map((reading) => `${placeInWords(reading)}, ${briefState(reading.state)}`)
    .join('; '),
  more: Math.max(0, readings.length - MOST_NAMED),
});
