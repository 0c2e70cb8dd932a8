import type { Content } from 'pdfmake/interfaces.js';
import { INK } from './paper.ts';

/** A line to sign on, with what it is for below it. */
export const signatures = (labels: readonly string[]): Content => ({
  columns: labels.map((label) => [
    { canvas: [{ type: 'line' as const, x1: 0, y1: 0, x2: 210, y2: 0, lineWidth: 0.7, lineColor: INK }] },
    { text: label, style: 'small', margin: [0, 3, 0, 0] as [number, number, number, number] },
  ]),
  columnGap: 24,
  margin: [0, 44, 0, 0],
  unbreakable: true,
});
