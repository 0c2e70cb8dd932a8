import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Content, ContentTable, TDocumentDefinitions } from 'pdfmake/interfaces.js';

const require = createRequire(import.meta.url);
const pdfmake = require('pdfmake') as {
  setUrlAccessPolicy(allowed: (url: string) => boolean): void;
  setLocalAccessPolicy(allowed: (path: string) => boolean): void;
  setFonts(fonts: Record<string, Record<string, string>>): void;
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
};

// Ohms, arrows and ticks are in it, and the letters of every European language; shipped with the program, and put into the file.
const letters = join(dirname(require.resolve('dejavu-fonts-ttf/package.json')), 'ttf');
// Nothing is fetched for a report, and no file is read but its letters.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.startsWith(letters));
pdfmake.setFonts({
  Paper: {
    normal: join(letters, 'DejaVuSansCondensed.ttf'),
    bold: join(letters, 'DejaVuSansCondensed-Bold.ttf'),
    italics: join(letters, 'DejaVuSansCondensed-Oblique.ttf'),
    bolditalics: join(letters, 'DejaVuSansCondensed-BoldOblique.ttf'),
  },
});

const MARGIN = 48;
export const INK = '#1d2a33';
const RULE = '#b9ae97';

/** A text with its pages numbered, as the bytes of a PDF file. */
export function printed({
  title,
  content,
  footer,
}: {
  title: string;
  content: Content[];
  footer: (page: number, pages: number) => string;
}): Promise<Buffer> {
  return pdfmake
    .createPdf({
      info: { title, creator: 'Lettura', producer: 'Lettura' },
      pageSize: 'A4',
      pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 12],
      defaultStyle: { font: 'Paper', fontSize: 9.5, lineHeight: 1.2, color: INK },
      styles: {
        title: { fontSize: 18, bold: true },
        heading: { fontSize: 12, bold: true, margin: [0, 12, 0, 4] },
        small: { fontSize: 8 },
        strong: { bold: true },
      },
      content,
      footer: (page, pages) => ({
        text: footer(page, pages),
        style: 'small',
        margin: [MARGIN, 12, MARGIN, 0],
      }),
    })
    .getBuffer();
}

/** A heading stays with what it heads. */
export const heading = (text: string): Content => ({ text, style: 'heading', headlineLevel: 1 });
export const paragraph = (text: string, strong = false): Content => ({
  text,
  margin: [0, 0, 0, 3],
  ...(strong ? { style: 'strong' } : {}),
});
export const bullets = (lines: readonly (string | { text: string; bold: boolean })[]): Content[] =>
  lines.length === 0 ? [] : [{ ul: lines.map((line) => line as Content), margin: [0, 0, 0, 4] }];

export interface Cell {
  text: string;
  bold?: boolean;
  decoration?: 'lineThrough';
}

export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A picture as SVG is never cut by the end of a page. */
export const picture = (svg: string): Content => ({ svg, margin: [0, 2, 0, 4] });

/** Rows under a head that is repeated on each page. */
export function rows(
  head: readonly string[],
  body: readonly (readonly (string | Cell)[])[],
  widths: (string | number)[],
): Content[] {
  if (body.length === 0) return [];
  const table: ContentTable = {
    table: {
      headerRows: 1,
      widths,
      dontBreakRows: true,
      body: [head.map((text) => ({ text, bold: true })), ...body.map((row) => [...row])],
    },
    layout: {
      hLineWidth: (i) => (i === 0 ? 0 : 0.5),
      vLineWidth: () => 0,
      hLineColor: () => RULE,
      paddingLeft: () => 0,
      paddingRight: () => 8,
      paddingTop: () => 2,
      paddingBottom: () => 2,
    },
    margin: [0, 0, 0, 6],
  };
  return [table];
}
