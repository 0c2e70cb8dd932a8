import { type ProvenRepair } from '@lettura/contract';
import { fitOfReading, isRepeat, type CaseFile } from '@lettura/core/judge/checks';
import { isOffBand } from '@lettura/core/judge/expectation';
import type { JobWeighing } from '@lettura/core/judge/weighing';
import { spotOf } from '@lettura/core/machine/places';
import { list, plain, say, verbatim } from '@lettura/core/measure/message';
import type { Content } from 'pdfmake/interfaces.js';
import { bullets, paragraph } from './paper.ts';
import type { ReportWords } from './reportWords.ts';

/** What was read and should not have been, the newest of each point, with what should have been there. */
export function offReadings(caseFile: CaseFile, { say: said, record }: ReportWords): string[] {
  return caseFile.readings
    .filter((reading, i, all) => !all.slice(i + 1).some((later) => isRepeat(later, reading)))
    .flatMap((reading) => {
      const { fit, expectation } = fitOfReading(reading, caseFile);
      if (!isOffBand(fit) || !expectation) return [];
      const expected = record.expectation(expectation, spotOf(reading), caseFile.ambient);
      return [
        said(
          say('ui-report.off-reading', {
            where: verbatim(`${record.place(reading)}, ${record.conditions(reading.state)}`),
            value: verbatim(record.value(reading)),
            expected: verbatim(expected),
          }),
        ),
      ];
    });
}

/** Never more than was looked at: what the cause still needs, and which tests were not repeated. */
export function notChecked(
  { gate, causes }: JobWeighing,
  proof: ProvenRepair | undefined,
  { say: said, title }: ReportWords,
): Content[] {
  const open = gate.filter(({ state }) => state !== 'proven');
  const items = list(
    gate.map(({ label }) => label),
    'semicolons',
  );
  const unrepeated = proof?.rows.filter(({ after }) => after === undefined).length ?? 0;
  return [
    ...(causes.length === 0
      ? [paragraph(said(say(proof ? 'ui-report.nothing-read-since' : 'ui-report.nothing-read')))]
      : gate.length === 0
        ? [paragraph(said(say('ui-report.no-list')))]
        : open.length === 0
          ? [paragraph(said(say('ui-report.all-on-list-checked', { items })))]
          : [
              paragraph(said(say('ui-report.still-to-show', { count: open.length }))),
              ...bullets(open.map(({ label }) => title(label))),
            ]),
    ...(proof && unrepeated > 0
      ? [paragraph(said(say('ui-report.not-repeated', { count: unrepeated, of: plain(proof.rows.length) })))]
      : []),
  ];
}
