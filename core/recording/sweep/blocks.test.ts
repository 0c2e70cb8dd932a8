import fc from 'fast-check';
import { expect, test } from 'vitest';
import { blocksOf, withoutStretches } from './blocks.ts';
import { dropouts } from './dropouts.ts';
import { noiseOf } from './noise.ts';
import { plateaus } from './plateaus.ts';
import { stuckAgainst } from './standsStill.ts';
import { strokesOf, type Stroke } from './strokes.ts';

/** Travels of a few hundred samples that rest, go on, turn and lack some samples, wherever the blocks begin and end. */
const travels = fc
  .array(
    fc.record({
      samples: fc.integer({ min: 1, max: 150 }),
      to: fc.integer({ min: 0, max: 50 }),
      wave: fc.integer({ min: 0, max: 3 }),
      missing: fc.boolean(),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((stretches) => {
    const values: number[] = [];
    let level = 2.5;
    for (const { samples, to, wave, missing } of stretches) {
      const from = level;
      for (let i = 1; i <= samples; i++) {
        level = from + ((to / 10 - from) * i) / samples + (wave / 100) * ((i % 3) - 1);
        values.push(missing && i % 7 === 0 ? NaN : Number(level.toFixed(2)));
      }
    }
    return Float64Array.from(values);
  });
const moments = (values: Float64Array) => values.map((_, i) => i);

test('strokes are those that a look at every single sample finds', () => {
  fc.assert(
    fc.property(travels, fc.constantFrom(0.05, 0.1, 0.3), (values, turnShare) => {
      expect(strokesOf(values, turnShare)).toEqual(strokesSampleBySample(values, turnShare));
    }),
    { numRuns: 400 },
  );
});

/** The same, a few samples later: the blocks begin elsewhere. */
const later = (values: Float64Array, by: number, before: number) =>
  Float64Array.from([...new Array<number>(by).fill(before), ...values]);
const shifts = fc.integer({ min: 1, max: 63 });

test('rests are the same wherever the blocks begin', () => {
  fc.assert(
    fc.property(travels, shifts, (travel, by) => {
      // Held ten times as long as it moves: without a scatter, the width is the slack alone.
      const values = Float64Array.from({ length: 10 * travel.length }, (_, i) => travel[Math.floor(i / 10)]!);
      const shifted = later(values, by, 9);
      fc.pre(values.length > 64 && noiseOf(values) === 0 && noiseOf(shifted) === 0);
      const settings = { leastSeconds: 20, slack: 0.25 };
      const rests = plateaus(moments(shifted), shifted, settings).filter(({ mean }) => mean < 9);
      expect(rests.map(({ from, to, mean }) => [from - by, to - by, mean])).toEqual(
        plateaus(moments(values), values, settings).map(({ from, to, mean }) => [from, to, mean]),
      );
    }),
    { numRuns: 300 },
  );
});

test('what stands while the other moves is the same wherever the blocks begin', () => {
  fc.assert(
    fc.property(travels, travels, shifts, (values, beside, by) => {
      const channel = values.map((value) => Math.round(value));
      const other = channel.map((_, i) => beside[i % beside.length]!);
      const limits = { leastMove: 0.5, leastSeconds: 20 };
      const shifted = later(channel, by, -1);
      const found = stuckAgainst(moments(shifted), shifted, later(other, by, -1), limits);
      expect(found.map((one) => ({ ...one, from: one.from - by, to: one.to - by }))).toEqual(
        stuckAgainst(moments(channel), channel, other, limits),
      );
    }),
    { numRuns: 300 },
  );
});

test('a jump of one sample is found on every side of the edge of a block', () => {
  for (let at = 60; at < 70; at++) {
    const values = new Float64Array(400).fill(2.5);
    values[at] = 0;
    expect(dropouts({ seconds: values.map((_, i) => i / 1000) }, values)).toMatchObject([
      { from: at, to: at + 1 },
    ]);
  }
});

test('a copy that lacks stretches has the blocks of what it is', () => {
  fc.assert(
    fc.property(travels, fc.nat(), fc.integer({ min: 1, max: 200 }), (values, at, length) => {
      const from = at % values.length;
      const copy = withoutStretches(values, [{ from, to: Math.min(values.length, from + length) }]);
      expect(blocksOf(copy)).toEqual(blocksOf(copy.slice()));
      expect(blocksOf(values)).toEqual(blocksOf(values.slice()));
    }),
  );
});

function strokesSampleBySample(position: Float64Array, turnShare: number): Stroke[] {
  const there = position.filter((value) => !Number.isNaN(value));
  const turn = turnShare * (Math.max(...there) - Math.min(...there));
  if (!(turn > 0)) return [];
  const strokes: Stroke[] = [];
  let start = position.findIndex((value) => !Number.isNaN(value));
  let extreme = start;
  let sign = 0;
  for (const [i, value] of position.entries()) {
    const gone = value - position[extreme]!;
    if (sign === 0 ? Math.abs(gone) >= turn : gone * sign > 0) {
      sign = Math.sign(gone);
      extreme = i;
    } else if (sign !== 0 && Math.abs(gone) > turn) {
      strokes.push({ direction: sign > 0 ? 'up' : 'down', from: start, to: extreme });
      start = extreme;
      extreme = i;
      sign = -sign;
    }
  }
  if (sign !== 0) strokes.push({ direction: sign > 0 ? 'up' : 'down', from: start, to: extreme });
  return strokes;
}
