import { plain, say, verbatim } from '@lettura/core/measure/message';
import type { Workshop } from '@lettura/contract';
import type { Content } from 'pdfmake/interfaces.js';
import { customerPage } from './customerPage.ts';
import { paragraph, printed } from './paper.ts';
import type { ReportAsked } from './reportAsked.ts';
import { reportFacts } from './reportFacts.ts';
import { reportWords } from './reportWords.ts';
import { technicianPages } from './technicianPages.ts';

/** In a thread of its own: a report as the bytes of a PDF file. */
export default async function report({
  sheet,
  pictures,
  workshop,
  reader,
  atInstant,
  version,
}: ReportAsked): Promise<Uint8Array> {
  const words = reportWords(reader);
  const facts = reportFacts(sheet);
  const made = verbatim(words.dayAndTime(atInstant));
  const { name } = sheet.vehicle;
  const under = (head: Workshop, before: Content[]) =>
    printed({
      title: words.say(say('ui-report.page', { name: verbatim(name) })),
      content: [
        ...before,
        ...customerPage(sheet, head, facts, words),
        ...technicianPages(sheet, facts, pictures, words, reader.absolute),
      ],
      footer: (page, pages) =>
        words.say(
          say('ui-report.footer', {
            name: verbatim(name),
            page: plain(page),
            pages: plain(pages),
            made,
            version: verbatim(version),
          }),
        ),
    });
  const { picture, ...withoutPicture } = workshop;
  if (picture === undefined) return under(workshop, []);
  try {
    return await under(workshop, []);
  } catch {
    // What begins like a picture may be none: no report is to fail for its head.
    return under(withoutPicture, [paragraph(words.say(say('ui-report.picture-unreadable')))]);
  }
}
