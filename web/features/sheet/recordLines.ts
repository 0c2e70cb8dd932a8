import { instrumentsNamed, isTakenReading, type Instrument, type Reading } from '@lettura/contract';
import { codesNow } from '@lettura/core/record/onBoard';
import type { Fit } from '@lettura/core/judge/expectation';
import { conditionsInWords, placeInWords, valueInWords } from '../../ui/inWords.ts';
import { dayAndClock } from '../../ui/when.ts';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { isAtOnePoint } from './atPoint.ts';
import { meaningOf } from './meaning.ts';
import type { Sheet } from './useSheet.ts';

/** One reading as it is shown, whatever it is shown in. */
export interface RecordLine {
  reading: Reading;
  /** Neither replaced nor taken back. */
  counts: boolean;
  when: string;
  where: string;
  value: string;
  /** Where it stands against what was expected of it in its state; undefined where nothing was, or it no longer counts. */
  fit: Fit | undefined;
  conditions: string;
  takers: readonly string[];
  entered: string;
}

export type RecordedSheet = Pick<
  Sheet,
  'readings' | 'countingIds' | 'unsentIds' | 'instruments' | 'caseFile'
>;

/** Every line of the record, newest first, also those replaced or taken back: nothing is ever lost. */
export function recordLines(sheet: RecordedSheet, units: Units): RecordLine[] {
  return sheet.readings
    .filter(({ kind }) => kind !== 'withdrawal')
    .toReversed()
    .map((reading) => {
      const counts = sheet.countingIds.has(reading.id);
      return {
        reading,
        counts,
        when: dayAndClock(reading.takenAt),
        where: placeInWords(reading),
        value: inBrief(reading) ?? valueInWords(reading, units),
        fit: counts ? fitInRecord(reading, sheet, units) : undefined,
        conditions: 'state' in reading ? conditionsInWords(reading.state, units) : '',
        takers: takersOf(reading, sheet.instruments),
        entered: `${reading.enteredText}${sheet.unsentIds.has(reading.id) ? t('ui-sheet.waiting-sent-2') : ''}`,
      };
    });
}

/** What would take the width of many values stands in full where its line is opened. */
function inBrief(reading: Reading): string | undefined {
  if (reading.kind !== 'follow-up' || reading.followUp.what !== 'vehicle') return undefined;
  const codes = codesNow(reading.followUp.units);
  return codes.length === 0 ? t('ui.no-code-stored') : codes.join(', ');
}

const fitInRecord = (reading: Reading, { caseFile }: RecordedSheet, units: Units): Fit | undefined =>
  isTakenReading(reading) && isAtOnePoint(reading) ? meaningOf(reading, caseFile, units).fit : undefined;

const takersOf = (reading: Reading, instruments: readonly Instrument[]): string[] =>
  instrumentsNamed(reading).flatMap((id) => instruments.find((one) => one.id === id)?.name ?? []);
