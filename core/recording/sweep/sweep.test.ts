import fc from 'fast-check';
import { expect, test } from 'vitest';
import reference from './reference/recordings.json' with { type: 'json' };
import {
  dropouts,
  envelopeInTime,
  lagBetween,
  MinMaxPyramid,
  noiseOf,
  pairOverSweep,
  plateaus,
  stepResponse,
  strokesOf,
  stuckAgainst,
  sweepFigures,
} from './index.ts';

// Recordings and what is true of them come from reference/recordings.py (numpy, scipy).
const volts = (millivolts: readonly (number | null)[]): Float64Array =>
  Float64Array.from(millivolts, (value) => (value === null ? NaN : value / 1000));
const secondsAt = (rate: number, length: number): Float64Array =>
  Float64Array.from({ length }, (_, i) => i / rate);
/** A normal deviate from a seed (Mulberry32 and Box–Muller). */
function normal(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(uniform() || 1e-12)) * Math.cos(2 * Math.PI * uniform());
}

test.each(reference.figures.map((one) => [one.name, one] as const))(
  'figures of a sweep, %s, are those that the generator knows',
  (_name, { strokeSamples, strokes, outputMillivolts, truth, tolerancePercent }) => {
    const stimulus = Float64Array.from({ length: strokes * strokeSamples }, (_, i) => {
      const at = (100 * (i % strokeSamples)) / (strokeSamples - 1);
      return Math.floor(i / strokeSamples) % 2 === 0 ? at : 100 - at;
    });
    const figures = sweepFigures(stimulus, volts(outputMillivolts), (kpa) => 0.5 + 0.04 * kpa)!;
    for (const name of Object.keys(truth) as (keyof typeof truth)[])
      expect(Math.abs(figures[name]! - truth[name]), name).toBeLessThan(tolerancePercent);
    expect([figures.strokesUp, figures.strokesDown]).toEqual([3, 3]);
  },
);

test.each(reference.dropouts.map((one) => [one.name, one] as const))(
  'dropouts, %s: each is found with its moment, and nothing else',
  (_name, { rate, millivolts, truth }) => {
    const values = volts(millivolts);
    const found = dropouts({ seconds: secondsAt(rate, values.length) }, values);
    expect(found.map(({ fromSeconds }) => fromSeconds)).toEqual(
      truth.map(({ fromSeconds }) => expect.closeTo(fromSeconds, 6) as number),
    );
    for (const [i, { from, to, courseValue }] of found.entries()) {
      expect(to - from).toBe(truth[i]!.samples);
      // Where the pedal stood: half of what it moved meanwhile is lost to the middle.
      expect(Math.abs((courseValue - 0.9) / 0.03 - truth[i]!.positionPercent)).toBeLessThan(6);
    }
  },
);

test('one millisecond in ten minutes at 1 kHz is found, and drawn when all is zoomed out', () => {
  const noise = normal(11);
  const values = Float64Array.from(
    { length: 600_000 },
    (_, i) => 2.5 + 1.5 * Math.sin(i / 30_000) + 0.004 * noise(),
  );
  values[432_109] = 0.02;
  const seconds = secondsAt(1000, values.length);
  expect(dropouts({ seconds }, values).map(({ fromSeconds }) => fromSeconds)).toEqual([432.109]);
  const view = { fromSeconds: 0, toSeconds: 600, columns: 800 };
  const { lowest } = envelopeInTime(seconds, new MinMaxPyramid(values), view);
  expect(Math.min(...lowest)).toBe(0.02);
  expect(lowest.indexOf(0.02)).toBe(Math.floor((800 * 432_109) / 600_000));
});

/** A throttle over its travel in four seconds and back: 4.1 V down to 0.8 V, 200 samples a second. */
const throughTravel = (at: (share: number, volts: number) => number) => {
  const rate = 200;
  const values = Float64Array.from({ length: 8 * rate }, (_, i) => {
    const share = 1 - Math.abs(1 - i / (4 * rate));
    return at(share, 4.1 - 3.3 * share);
  });
  return { seconds: secondsAt(rate, values.length), values };
};

test('a dead spot that the input pulls to a voltage off the rails is found, however long the hand takes over it', () => {
  for (const width of [0.04, 0.12]) {
    const { seconds, values } = throughTravel((share, volts) =>
      share > 0.3 && share < 0.3 + width ? 4.55 : volts,
    );
    const found = dropouts({ seconds }, values);
    expect(found.length).toBe(2);
    for (const { fromSeconds, untilSeconds, farthestValue } of found) {
      expect(untilSeconds - fromSeconds).toBeCloseTo(4 * width, 1);
      expect(farthestValue).toBe(4.55);
    }
  }
});

test('a pedal that is stamped on and let go, and a valve that is opened and shut, drop nothing out', () => {
  const rate = 200;
  const pushed = Float64Array.from({ length: 5 * rate }, (_, i) => {
    const t = i / rate;
    // Full travel of 3.5 V in 80 ms, held for half a second, and back.
    const there = Math.min(1, Math.max(0, (t - 1) / 0.08));
    const back = Math.min(1, Math.max(0, (t - 1.58) / 0.08));
    return 0.8 + 3.5 * (there - back);
  });
  expect(dropouts({ seconds: secondsAt(rate, pushed.length) }, pushed)).toEqual([]);
  const vented = Float64Array.from({ length: 5 * rate }, (_, i) => {
    const t = i / rate;
    // Air through a valve: a time constant of 20 ms, up and down.
    if (t < 1) return 1.5;
    const up = 1.5 + 1.2 * (1 - Math.exp(-(t - 1) / 0.02));
    return t < 1.8 ? up : 1.5 + 1.2 * Math.exp(-(t - 1.8) / 0.02);
  });
  expect(dropouts({ seconds: secondsAt(rate, vented.length) }, vented)).toEqual([]);
});

test('in fifty clean noisy recordings of any travel no dropout is found', () => {
  for (let seed = 1; seed <= 50; seed++) {
    const noise = normal(seed);
    const rate = 50 + 20 * (seed % 8);
    const scatter = 0.002 + 0.001 * (seed % 9);
    let position = 0;
    let goal = 1;
    let rested = 0;
    const values = Float64Array.from({ length: 6000 }, () => {
      // Snaps of a tenth of a second and slow travel; no hand turns back in less than a fifth of a second.
      rested = Math.abs(goal - position) < 1e-9 ? rested + 1 / rate : 0;
      if (rested > 0.2 && Math.abs(noise()) > 2.2) [goal, rested] = [Math.abs(noise()) % 1, 0];
      const most = (seed % 2 === 0 ? 10 : 0.4) / rate;
      position += Math.max(-most, Math.min(most, goal - position));
      return 0.9 + 3 * position + scatter * noise();
    });
    expect(dropouts({ seconds: secondsAt(rate, values.length) }, values), `seed ${seed}`).toEqual([]);
  }
});

test('a pair that breaks away round one angle: found there, and as far as it goes', () => {
  const { rate, firstMillivolts, secondMillivolts, truth } = reference.pair;
  const first = volts(firstMillivolts);
  const found = pairOverSweep(first, volts(secondMillivolts), 5, { law: 'ratio', ratio: 2, offsetVolts: 0 });
  expect(found.worstPercentOfReference).toBeCloseTo(truth.worstPercentOfReference, 0);
  expect(found.outside).toHaveLength(2); // on the way down and up again
  for (const { worstAt } of found.outside)
    expect(Math.abs((first[worstAt]! - 1) / 0.034 - truth.positionPercent)).toBeLessThan(1);
  expect(found.outside[0]!.from / rate).toBeLessThan(4.5);
});

test.each(reference.steps)(
  'a step with a time constant of $truth.secondsTo63 s',
  ({ rate, millivolts, truth }) => {
    const values = volts(millivolts);
    const found = stepResponse(secondsAt(rate, values.length), values)!;
    expect(Math.abs(found.fromSeconds - truth.fromSeconds)).toBeLessThan(0.005 + 0.03 * truth.secondsTo63);
    expect(Math.abs(found.secondsTo63 - truth.secondsTo63)).toBeLessThan(0.005 + 0.04 * truth.secondsTo63);
    expect(Math.abs(found.secondsTo90 - truth.secondsTo90)).toBeLessThan(0.005 + 0.04 * truth.secondsTo90);
  },
);

test('no step, no response', () => {
  const flat = new Float64Array(500).fill(2);
  expect(stepResponse(secondsAt(100, 500), flat)).toBeUndefined();
});

test.each(reference.lags)(
  'a lag of $truth.seconds s between two channels',
  ({ rate, firstMillivolts, secondMillivolts, truth }) => {
    const first = volts(firstMillivolts);
    const found = lagBetween(secondsAt(rate, first.length), first, volts(secondMillivolts), 2)!;
    expect(Math.abs(found.seconds - truth.seconds)).toBeLessThan(0.01);
    expect(found.correlation).toBeGreaterThan(0.95);
  },
);

test('two channels that have nothing to do with each other have no lag', () => {
  const noise = normal(3);
  const random = () => Float64Array.from({ length: 2000 }, noise);
  expect(lagBetween(secondsAt(100, 2000), random(), random(), 1)).toBeUndefined();
});

test('live data that stands on one number while the wire moves is stuck; one that follows is not', () => {
  const seconds = secondsAt(10, 200);
  const wire = Float64Array.from({ length: 200 }, (_, i) => 2 + Math.sin(i / 10));
  const live = Float64Array.from(wire, (value, i) => (i < 100 ? Math.round(10 * value) : 118));
  const found = stuckAgainst(seconds, live, wire, { leastMove: 0.5, leastSeconds: 2 });
  expect(found).toMatchObject([{ from: 100, to: 199, value: 118 }]);
});

test('the steps of a pump are plateaus, the way between them is not', () => {
  const noise = normal(5);
  const seconds = secondsAt(100, 1500);
  const values = Float64Array.from({ length: 1500 }, (_, i) => {
    const step = Math.floor(i / 500);
    const within = (i % 500) / 500;
    return 1 + step + Math.max(0, (within - 0.6) / 0.4) + 0.003 * noise();
  });
  const found = plateaus(seconds, values, { leastSeconds: 2 });
  expect(found.map(({ mean }) => Number(mean.toFixed(2)))).toEqual([1, 2, 3]);
});

test('strokes turn where the travel turns, and never by noise', () => {
  const noise = normal(8);
  const position = Float64Array.from(
    { length: 4000 },
    (_, i) => 50 - 50 * Math.cos(i / 318.3) + 0.3 * noise(),
  );
  const strokes = strokesOf(position);
  expect(strokes.map(({ direction }) => direction)).toEqual(['up', 'down', 'up', 'down']);
  expect(noiseOf(position)).toBeCloseTo(0.3, 1);
  expect(strokesOf(new Float64Array(10).fill(1))).toEqual([]);
});

test('the extremes of any stretch are those of its samples, gaps left out', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.double({ noNaN: true, min: -9, max: 9 }), fc.constant(NaN)), {
        minLength: 1,
        maxLength: 900,
      }),
      fc.nat(899),
      fc.integer({ min: 1, max: 900 }),
      (list, start, length) => {
        const values = Float64Array.from(list);
        const from = Math.min(start, values.length - 1);
        const to = Math.min(values.length, from + length);
        const seen = [...values.slice(from, to)].filter((value) => !Number.isNaN(value));
        const [lowest, highest] = new MinMaxPyramid(values).extremes(from, to);
        expect([lowest, highest]).toEqual(
          seen.length > 0 ? [Math.min(...seen), Math.max(...seen)] : [NaN, NaN],
        );
      },
    ),
  );
});

test('columns are of equal time, whatever the moments: a recording that ends early ends early in the plot', () => {
  const seconds = Float64Array.of(0, 1, 2, 2.1, 2.2, 2.3, 4);
  const values = Float64Array.of(1, 2, 3, 0, 5, 3, 7);
  const view = { fromSeconds: 0, toSeconds: 8, columns: 8 };
  const { lowest, highest } = envelopeInTime(seconds, new MinMaxPyramid(values), view);
  expect([...lowest]).toEqual([1, 2, 0, expect.closeTo(3 + (4 * 1.2) / 1.7, 9), 7, NaN, NaN, NaN]);
  expect([...highest].slice(0, 3)).toEqual([1, 2, 5]);
  // Far into one interval: the line between its two samples.
  const near = envelopeInTime(seconds, new MinMaxPyramid(values), {
    fromSeconds: 0.25,
    toSeconds: 0.75,
    columns: 2,
  });
  expect([...near.lowest]).toEqual([1.375, 1.625]);
});

test('in time as by index: every sample of the view is inside the envelope', () => {
  const noise = normal(21);
  const seconds = Float64Array.from({ length: 5000 }, (_, i) => i * 0.01 + 0.004 * Math.abs(Math.sin(i)));
  const values = Float64Array.from(seconds, () => noise());
  const view = { fromSeconds: 7.3, toSeconds: 31.1, columns: 123 };
  const { lowest, highest } = envelopeInTime(seconds, new MinMaxPyramid(values), view);
  const width = (view.toSeconds - view.fromSeconds) / view.columns;
  seconds.forEach((moment, i) => {
    if (moment < view.fromSeconds || moment > view.toSeconds) return;
    const column = Math.min(view.columns - 1, Math.floor((moment - view.fromSeconds) / width));
    const near = [column - 1, column, column + 1];
    expect(Math.min(...near.map((at) => lowest[at] ?? Infinity))).toBeLessThanOrEqual(values[i]!);
    expect(Math.max(...near.map((at) => highest[at] ?? -Infinity))).toBeGreaterThanOrEqual(values[i]!);
  });
});
