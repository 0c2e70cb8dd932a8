import { expect, test } from 'vitest';
import {
  columnsIn,
  extremesOf,
  frameOf,
  MARGIN,
  paintBand,
  paintEnvelope,
  paintMarks,
  type Ink,
} from './index.ts';

const INK: Ink = { line: '#000', grid: '#ccc', band: '#0a0', mark: '#00a', fault: '#a00', font: '13px mono' };

/** A canvas that writes down where it is drawn on. */
function paper(width = 400, height = 200) {
  const path: [kind: 'move' | 'line', x: number, y: number][] = [];
  const texts: string[] = [];
  const note =
    (kind: 'move' | 'line') =>
    (x: number, y: number): void =>
      void path.push([kind, x, y]);
  const known: Record<string, unknown> = {
    moveTo: note('move'),
    lineTo: note('line'),
    fillText: (text: string) => void texts.push(text),
    measureText: (text: string) => ({ width: 8 * text.length }),
  };
  const draw = new Proxy(known, {
    get: (_target, name: string) => known[name] ?? (() => undefined),
    set: () => true,
  }) as unknown as CanvasRenderingContext2D;
  return { surface: { draw, width, height }, path, texts };
}
const columns = (...values: (readonly [number, number] | undefined)[]) => ({
  lowest: Float64Array.from(values, (one) => one?.[0] ?? NaN),
  highest: Float64Array.from(values, (one) => one?.[1] ?? NaN),
});

test('a frame leaves room for its scales, and puts the ends of its ranges on its edges', () => {
  const { surface } = paper();
  const frame = frameOf(surface, [10, 20], [0, 5]);
  expect([frame.x(10), frame.x(20)]).toEqual([MARGIN.left, 400 - MARGIN.right]);
  expect([frame.y(0), frame.y(5)]).toEqual([200 - MARGIN.bottom, MARGIN.top]);
  expect(frame.x(15)).toBeCloseTo((frame.left + frame.right) / 2, 9);
  expect(columnsIn(surface)).toBe(400 - MARGIN.left - MARGIN.right);
  expect(columnsIn({ ...surface, width: 3 })).toBe(1);
});

test('the line touches the lowest and the highest of every column, and is torn where nothing came for long', () => {
  const { surface, path } = paper();
  const all = columns([1, 2], [1.5, 1.5], undefined, undefined, undefined, [0, 4]);
  paintEnvelope(surface, frameOf(surface, [0, 6], [0, 5]), all, { colour: '#000', width: 1, across: 1 });
  const y = frameOf(surface, [0, 6], [0, 5]).y;
  const moves = path.filter(([kind]) => kind === 'move');
  expect(moves).toHaveLength(2);
  expect(path.map(([, , at]) => at)).toEqual([y(1), y(2), y(1.5), y(1.5) - 0.01, y(0), y(4)]);
  const wide = paper();
  paintEnvelope(wide.surface, frameOf(wide.surface, [0, 6], [0, 5]), all, {
    colour: '#000',
    width: 1,
    across: 4,
  });
  expect(wide.path.filter(([kind]) => kind === 'move')).toHaveLength(1);
});

test('the ends of several envelopes together; of nothing there are none', () => {
  expect(extremesOf(columns([1, 2], undefined), columns([0.5, 0.6]))).toEqual([0.5, 2]);
  expect(extremesOf(columns(undefined))).toEqual([Infinity, -Infinity]);
});

test('marks keep their numbers when others are out of view', () => {
  const { surface, path, texts } = paper();
  paintMarks(surface, frameOf(surface, [5, 10], [0, 1]), [2, 6, 9.99, 12], INK);
  expect(texts).toEqual(['2', '3']);
  expect(path).toHaveLength(4);
});

test('a band is drawn along both of its edges, from end to end', () => {
  const { surface, path } = paper();
  const frame = frameOf(surface, [0, 10], [0, 10]);
  paintBand(surface, frame, [0, 10], (along) => ({ lowest: along - 1, highest: along + 1 }), INK);
  const [first, last] = [path[0]!, path.at(-1)!];
  expect(first.slice(1)).toEqual([frame.x(0), frame.y(-1)]);
  expect(last.slice(1)).toEqual([frame.x(10), frame.y(11)]);
});
