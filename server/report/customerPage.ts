import {
  followedOn,
  followUpsOn,
  lastEpisode,
  worksOn,
  type JobSheet,
  type JobVerdict,
  type ProvenRepair,
  type Workshop,
} from '@lettura/contract';
import { fitOfReading, isRepeat, type CaseFile } from '@lettura/core/judge/checks';
import { isOffBand } from '@lettura/core/judge/expectation';
import type { JobWeighing } from '@lettura/core/judge/weighing';
import { spotOf, type Target } from '@lettura/core/machine/places';
import { list, plain, say, verbatim } from '@lettura/core/measure/message';
import { proofSaid } from '@lettura/words';
import type { Content } from 'pdfmake/interfaces.js';
import { bullets, heading, paragraph, signatures } from './paper.ts';
import type { ReportFacts } from './reportFacts.ts';
import type { ReportWords } from './reportWords.ts';

/** More reasons are for the next technician. */
const MOST_REASONS = 3;

/** Page one: what was wrong, how that is known, what was done, its proof, and what was not checked. */
export function customerPage(
  sheet: JobSheet,
  workshop: Workshop,
  { weighing, foundCase, foundWith, proof }: ReportFacts,
  words: ReportWords,
): Content[] {
  const { say: said, record, dayAndTime } = words;
  const { job, vehicle, verdicts, readings } = sheet;
  const works = worksOn(readings);
  const followed = followedOn(sheet);
  const off = offReadings(foundCase, words);
  const [leader] = foundWith.causes;
  const reasons = off.length > 0 ? off : (leader?.speaksFor ?? []).map(({ sentence }) => said(sentence));
  // What was said of the repaired machine is no word on what was wrong with it.
  const since = lastEpisode(readings).fromInstant ?? '';
  const found = verdicts.findLast(({ decidedAt }) => since === '' || decidedAt < since);
  const after = since === '' ? undefined : verdicts.findLast(({ decidedAt }) => decidedAt >= since);
  return [
    ...headOf(workshop),
    { text: vehicle.name, style: 'title' },
    paragraph(
      said(
        say('ui-report.codes-opened', {
          complaint: verbatim(job.complaint),
          codes: job.codes.length > 0 ? list(job.codes.map(verbatim)) : say('ui-report.none'),
          dayAndTime: verbatim(dayAndTime(job.openedAt)),
        }),
      ),
    ),
    heading(said(say('ui-report.what-was-wrong'))),
    ...(found
      ? verdictOf(found, words)
      : [paragraph(said(say(after ? 'ui-report.no-verdict-before' : 'ui-report.no-verdict')), true)]),
    heading(said(say('ui-report.how-it-is-known'))),
    paragraph(said(foundWith.verdict.sentence)),
    ...bullets(reasons.slice(0, MOST_REASONS)),
    ...(reasons.length > MOST_REASONS
      ? [paragraph(said(say('ui-report.more-reasons', { count: reasons.length - MOST_REASONS })))]
      : []),
    heading(said(say('ui-report.what-was-done'))),
    ...(works.length === 0
      ? [paragraph(said(say('ui-report.nothing-done')))]
      : bullets([
          ...works.map((work) =>
            [`${dayAndTime(work.takenAt)}: ${record.work(work)}`, work.who, work.note]
              .filter(Boolean)
              .join('. '),
          ),
          ...followUpsOn(readings).map(
            (one) => `${dayAndTime(one.takenAt)}: ${record.place(one)}: ${record.followUp(one)}`,
          ),
        ])),
    ...(proof
      ? [heading(said(say('ui-report.proof'))), paragraph(said(proofSaid(proof, record)), true)]
      : []),
    ...(after ? [paragraph(said(say('ui-report.after-the-work'))), ...verdictOf(after, words)] : []),
    ...(works.length > 0
      ? bullets(
          followed.remarks.map((remark) => ({
            text: said(remark),
            bold: followed.against.includes(remark),
          })),
        )
      : []),
    heading(said(say('ui-report.not-checked'))),
    ...notChecked(weighing, proof, words),
    signatures([said(say('ui-report.signed-technician')), said(say('ui-report.signed-customer'))]),
  ];
}

const verdictOf = (
  { cause, decidedAt, note }: JobVerdict,
  { say: said, record, dayAndTime }: ReportWords,
): Content[] => [
  paragraph(
    said(
      say('ui-report.verdict-of', {
        cause: verbatim(record.cause(cause)),
        dayAndTime: verbatim(dayAndTime(decidedAt)),
      }),
    ),
    true,
  ),
  ...(note === '' ? [] : [paragraph(note)]),
];

/** Name, address and picture, where the workshop has given any. */
function headOf({ name, address, picture }: Workshop): Content[] {
  if (name === '' && address === '' && picture === undefined) return [];
  return [
    {
      columns: [
        ...(picture === undefined
          ? []
          : [{ image: picture, fit: [110, 60] as [number, number], width: 120 }]),
        {
          stack: [
            { text: name, bold: true, fontSize: 12 },
            { text: address, style: 'small' },
          ],
        },
      ],
      margin: [0, 0, 0, 16],
    },
  ];
}

/** What was read and should not have been, the newest of each point, with what should have been there. */
function offReadings(caseFile: CaseFile, { say: said, record }: ReportWords): string[] {
  return caseFile.readings
    .filter((reading, i, all) => !all.slice(i + 1).some((later) => isRepeat(later, reading)))
    .flatMap((reading) => {
      const { fit, expectation } = fitOfReading(reading, caseFile);
      if (!isOffBand(fit) || !expectation) return [];
      const expected = record.expectation(expectation, spotOf(reading) as Target, caseFile.ambient);
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
function notChecked(
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
