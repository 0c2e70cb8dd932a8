import type { Telegrams } from '@lettura/core/recording/telegram';
import { expect, test } from 'vitest';
import { frameOf, type Ink, type Surface } from '../../ui/plot/index.ts';
import { framesFit, paintFrames } from './paintFrames.ts';

const DATA = [2, 13, 1, 3, 7, 1];
/** Eight frames of 1 ms that say the same, at a tick of 3 µs. */
const telegrams: Telegrams = {
  layout: { nibbles: 6, hasPause: true, checksum: 'recommended' },
  tickSeconds: 3e-6,
  startSeconds: Float64Array.from({ length: 8 }, (_, i) => i / 1000),
  status: new Uint8Array(8).fill(4),
  data: Uint8Array.from({ length: 8 * DATA.length }, (_, i) => DATA[i % DATA.length]!),
  follows: new Uint8Array(8).fill(1),
  lost: { checksum: 0, nibble: 0, pulses: 0, calibration: 0 },
  lostAtSeconds: [],
};
const INK = { font: '13px mono', mark: 'blue' } as Ink;
const WIDTH = 800;

/** All words that are drawn of the frames in a view. */
function drawn(fromSeconds: number, toSeconds: number): string[] {
  const words: string[] = [];
  const draw = {
    save: () => {},
    restore: () => {},
    strokeRect: () => {},
    fillRect: () => {},
    measureText: (text: string) => ({ width: 8 * text.length }),
    fillText: (text: string) => words.push(text),
  };
  const surface = { draw, width: WIDTH, height: 200 } as unknown as Surface;
  const range = [fromSeconds, toSeconds] as const;
  if (framesFit(telegrams, range, WIDTH))
    paintFrames(surface, frameOf(surface, range, [0, 5]), range, telegrams, INK);
  return words;
}

test('a frame is drawn nibble by nibble with room, as its data with less, and not at all among hundreds', () => {
  expect(drawn(0.002, 0.0029).slice(0, 8)).toEqual(['56', '4', '2', 'D', '1', '3', '7', '1']);
  const farther = drawn(0, 0.008);
  expect(farther).toEqual(Array.from({ length: 8 }, () => '2D1371'));
  expect(drawn(0, 1)).toEqual([]);
});
