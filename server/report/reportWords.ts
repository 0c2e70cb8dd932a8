import type { Message, Value } from '@lettura/core/measure/message';
import { datesIn, recordWords, wordsFor, type RecordWords } from '@lettura/words';
import type { ReportReader } from './reportAsked.ts';

/** The words of whoever reads the report. */
export interface ReportWords {
  say: (message: Message) => string;
  title: (message: Message) => string;
  value: (value: Value) => string;
  record: RecordWords;
  dayAndTime: (instant: string) => string;
}

export function reportWords({ language, absolute, vacuum, timeZone }: ReportReader): ReportWords {
  const { say, title, value } = wordsFor({ language, pressureUnit: absolute, vacuumUnit: vacuum });
  return {
    say,
    title,
    value,
    record: recordWords(language, { absolute, vacuum }),
    dayAndTime: datesIn(timeZone).dayAndTime,
  };
}
