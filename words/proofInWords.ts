import type { ProvenRepair } from '@lettura/contract';
import { isOffBand } from '@lettura/core/judge/expectation';
import { plain, say, verbatim, type Message } from '@lettura/core/measure/message';
import type { Evidence } from '@lettura/core/record/evidence';
import type { RecordWords } from './record.ts';

/** As many as a sentence can hold; the table has them all. */
const MOST_NAMED = 3;

/** What the repeated readings prove, in one sentence whose counts are those of the table below it. */
export function proofSaid(
  { end, rows, newlyOff }: Pick<ProvenRepair, 'end' | 'rows' | 'newlyOff'>,
  words: RecordWords,
): Message {
  const wasOff = rows.filter(({ beforeFit }) => isOffBand(beforeFit));
  const open = wasOff.filter(({ afterFit }) => afterFit === undefined);
  const stillOff = wasOff.flatMap(({ after, afterFit }) => (after && isOffBand(afterFit) ? [after] : []));
  const unrepeated = rows.filter(({ after }) => after === undefined).length;
  switch (end) {
    case 'proven':
      return say('ui-sheet.proof-proven', { count: wasOff.length, unrepeated });
    case 'not-shown':
      return say('ui-sheet.proof-not-shown', { open: open.length, count: wasOff.length });
    case 'still-off':
      return say('ui-sheet.proof-still-off', named(stillOff, words));
    case 'something-else-off':
      return say('ui-sheet.proof-something-else', named(newlyOff, words));
    case 'contradicted':
      return say('ui-sheet.proof-contradicted', {
        right: plain(wasOff.length - open.length),
        of: wasOff.length,
      });
    case 'borne-out':
      return say('ui-sheet.proof-borne-out');
    case 'nothing-was-off':
      return say('ui-sheet.proof-nothing-was-off');
  }
}

const named = (readings: readonly Evidence[], words: RecordWords) => ({
  names: verbatim(
    readings
      .slice(0, MOST_NAMED)
      .map((reading) => `${words.place(reading)}, ${words.conditions(reading.state)}`)
      .join('; '),
  ),
  more: Math.max(0, readings.length - MOST_NAMED),
});
