import { MEASURAND_NAMES, PRESSURE_UNITS } from '@lettura/core/measure/quantity';
import type { Companion } from '@lettura/core/measure/companion';
import type { Tolerance } from '@lettura/core/measure/transfer';
import { expect, test } from 'vitest';
import { companionFrom } from './companionText.ts';
import { companionAsText } from './companionAsText.ts';
import { thinnedPoints } from './thinnedPoints.ts';
import { toleranceAsText, toleranceFrom } from './toleranceText.ts';

const TOLERANCES: Tolerance[] = [
  { form: 'plus-minus', plusMinus: 3.45 },
  { form: 'of-span', percent: 1.5 },
  { form: 'of-value', percent: 4, atLeast: 0.25 },
  {
    form: 'temperature-band',
    plusMinus: 1.5,
    multipliers: [
      { celsius: -40, factor: 3 },
      { celsius: 0, factor: 1 },
      { celsius: 125.5, factor: 2.5 },
    ],
  },
];

test.each(PRESSURE_UNITS.flatMap((unit) => MEASURAND_NAMES.map((measures) => [unit, measures] as const)))(
  'a tolerance shown in %s for %s is read back the same',
  (unit, measures) => {
    for (const tolerance of TOLERANCES) {
      const again = toleranceFrom(toleranceAsText(tolerance, measures, unit), measures, unit);
      const parts = (all: Tolerance) => Object.entries(all);
      expect(parts(again).map(([name]) => name)).toEqual(parts(tolerance).map(([name]) => name));
      for (const [name, value] of parts(tolerance)) {
        const read = (again as unknown as Record<string, unknown>)[name];
        if (typeof value === 'number') expect(read).toBeCloseTo(value, 7);
        else expect(read).toEqual(value);
      }
    }
  },
);

test.each<[string, Companion | undefined]>([
  ['no second signal', undefined],
  ['a mirrored track', { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: true }],
  [
    'a track by ratio',
    { kind: 'second-track', pair: { law: 'ratio', ratio: 2, offsetVolts: -0.05 }, separateFeeds: false },
  ],
  [
    'a thermistor by β',
    {
      kind: 'temperature',
      thermistor: { law: 'beta', ohmsAt25Celsius: 2057, betaKelvin: 3435 },
      pullUpOhms: 4640,
    },
  ],
  [
    'a thermistor by Steinhart–Hart, to the last digit',
    {
      kind: 'temperature',
      thermistor: { law: 'steinhart-hart', a: 1.129241e-3, b: 2.341077e-4, c: 8.775468e-8 },
      pullUpOhms: 2200,
    },
  ],
])('%s is read back as it was', (_what, companion) =>
  expect(companionFrom(companionAsText(companion))).toEqual(companion ? { companion } : {}),
);

test('ten thousand points are drawn as some hundreds, the doubtful one among them', () => {
  const points = Array.from({ length: 10_000 }, (_, i) => ({ value: i, volts: i / 2000 }));
  const drawn = thinnedPoints(points, [4321]);
  expect(drawn.length).toBeLessThanOrEqual(301);
  expect(drawn[0]?.value).toBe(0);
  expect(drawn.filter(({ bad }) => bad).map(({ value }) => value)).toEqual([4321]);
});

test('a few points are all drawn', () => {
  const points = [1, 2, 3].map((value) => ({ value, volts: value }));
  expect(thinnedPoints(points, []).map(({ value, bad }) => [value, bad])).toEqual([
    [1, false],
    [2, false],
    [3, false],
  ]);
});
