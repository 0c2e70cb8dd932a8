import { expect, test } from 'vitest';
import { MOST_PRIOR, NOTHING, startingAfter, USUAL_WEIGHTS, usualPriors } from './index.ts';

const family = 'manifold-pressure';
const nothing = usualPriors(family)[NOTHING];

test('without work the weights are those of before', () => {
  expect(startingAfter(USUAL_WEIGHTS, [], family)).toBe(USUAL_WEIGHTS);
});

test('after work nothing wrong is likelier, a new sensor is seldom it, and what was said before stays said', () => {
  const before = { circumstances: ['loom-damaged'] as const, priors: { hose: 20 } };
  expect(startingAfter(before, ['wire-mended'], family)).toEqual({
    circumstances: ['loom-damaged', 'worked-on'],
    priors: { hose: 20, [NOTHING]: 5 * nothing },
  });
  expect(startingAfter(USUAL_WEIGHTS, ['sensor-replaced', 'hose-mended'], family).circumstances).toEqual([
    'sensor-replaced',
    'worked-on',
  ]);
});

test('no weight becomes more than one may be, and none that was ruled out comes back', () => {
  const of = (weight: number) =>
    startingAfter({ circumstances: [], priors: { [NOTHING]: weight } }, ['part-cleaned'], family).priors[
      NOTHING
    ];
  expect(of(90)).toBe(MOST_PRIOR);
  expect(of(0)).toBe(0);
});
