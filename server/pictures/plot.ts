import { scaleLinear } from 'd3-scale';

/** From one end of an axis to the other. */
export type Ends = readonly [lowest: number, highest: number];

export interface Axis {
  ends: Ends;
  /** What is along it, with its unit. */
  title: string;
}

export interface PlotAsked {
  /** What a reader who does not see it is told. */
  described: string;
  x: Axis;
  y: Axis;
  heightPt: number;
  /** The marks, from the values they stand for. */
  marks: (at: Places) => string;
}

/** Where a value stands in the picture, in points from its left and its top. */
export interface Places {
  x: (value: number) => number;
  y: (value: number) => number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** As wide as what is written on an A4 page. */
const WIDTH_PT = 499;
const MARGIN = { left: 44, right: 8, top: 14, bottom: 28 };
export const PAPER_INK = {
  line: '#1d2a33',
  rule: '#b9ae97',
  good: '#1f5f8b',
  bad: '#a32020',
  band: '#dfe7ec',
};

/** Axes with round numbers around what is drawn between them, as SVG in the letters of the report. */
export function plot({ described, x, y, heightPt, marks }: PlotAsked): string {
  const [left, right] = [MARGIN.left, WIDTH_PT - MARGIN.right];
  const [top, bottom] = [MARGIN.top, heightPt - MARGIN.bottom];
  const across = scaleLinear(widened(x.ends), [left, right]);
  const ticksUp = Math.max(3, Math.round(heightPt / 30));
  const up = scaleLinear(widened(y.ends), [bottom, top]).nice(ticksUp);
  const ticks = [
    ...across
      .ticks(8)
      .map(
        (value) =>
          line(across(value), top, across(value), bottom) +
          text(across(value), bottom + 10, 'middle', across.tickFormat(8)(value)),
      ),
    ...up
      .ticks(ticksUp)
      .map(
        (value) =>
          line(left, up(value), right, up(value)) +
          text(left - 4, up(value) + 3, 'end', up.tickFormat(ticksUp)(value)),
      ),
  ].join('');
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH_PT}" height="${heightPt}" viewBox="0 0 ${WIDTH_PT} ${heightPt}" role="img" font-family="Paper, sans-serif" font-size="8" fill="${PAPER_INK.line}">` +
    `<title>${escaped(described)}</title>` +
    ticks +
    text(left, top - 4, 'start', y.title) +
    text(right, heightPt - 6, 'end', x.title) +
    marks({ x: across, y: up, left, right, top, bottom }) +
    '</svg>'
  );
}

/** A flat line stands in the middle of something. */
const widened = ([lowest, highest]: Ends): [number, number] =>
  lowest < highest ? [lowest, highest] : [lowest - 0.5, lowest + 0.5];

const line = (x1: number, y1: number, x2: number, y2: number): string =>
  `<line x1="${inPoints(x1)}" y1="${inPoints(y1)}" x2="${inPoints(x2)}" y2="${inPoints(y2)}" stroke="${PAPER_INK.rule}" stroke-width="0.4"/>`;

const text = (x: number, y: number, anchor: 'start' | 'middle' | 'end', words: string): string =>
  `<text x="${inPoints(x)}" y="${inPoints(y)}" text-anchor="${anchor}">${escaped(words)}</text>`;

/** Two decimals of a point are finer than any printer. */
export const inPoints = (value: number): string => String(Math.round(value * 100) / 100);

/** What somebody typed is text in a picture, and no part of it. */
export const escaped = (words: string): string =>
  words.replace(/[&<>"']/gu, (letter) => `&#${letter.codePointAt(0)};`);
