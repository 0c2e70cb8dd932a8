import {
  followedOn,
  followUpsOn,
  lastEpisode,
  worksOn,
  type JobSheet,
  type JobVerdict,
  type Workshop,
} from '@lettura/contract';
import { list, say, verbatim } from '@lettura/core/measure/message';
import { proofSaid } from '@lettura/words';
import type { Content } from 'pdfmake/interfaces.js';
import { bullets, heading, paragraph } from './paper.ts';
import { signatures } from './signatures.ts';
import type { ReportFacts } from './reportFacts.ts';
import type { ReportWords } from './reportWords.ts';
import { offReadings, notChecked } from './offReadings.ts';
import { headOf } from './pageHead.ts';

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
