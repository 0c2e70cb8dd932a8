import { expect, test } from 'vitest';
import { diagnosisFigures, figuresBy, figuresInWords } from './diagnosisFigures.ts';
import { workedCases } from './diagnosis.ts';
import type { WorkedCase } from './patient.ts';

const one = (over: Partial<WorkedCase>): WorkedCase => ({
  machine: 'm',
  family: 'throttle',
  fault: 'wire-open signal:first',
  classTrue: 'wire',
  outside: false,
  decided: true,
  unexplained: false,
  leaders: '',
  trail: [],
  classSaid: 'wire',
  classShare: 0.98,
  classRight: true,
  placeRight: true,
  placeShare: 0.9,
  readings: 4,
  minutes: 9,
  brier: 0.01,
  milliseconds: 500,
  ...over,
});

// By hand: four machines, three decided, one of them wrongly against a sound sensor.
test('figures by hand', () => {
  const figures = diagnosisFigures([
    one({}),
    one({ placeRight: false, readings: 6 }),
    one({ classSaid: 'sensor', classRight: false, placeRight: false, classShare: 0.97, brier: 1.9 }),
    one({ decided: false, classShare: 0.55, classTrue: 'sensor', classSaid: 'sensor', readings: 12 }),
  ]);
  expect(figures).toMatchObject({
    cases: 4,
    decided: 3,
    classRight: 2,
    placeRight: 1,
    leadingClassRight: 3,
    goodSensorsCondemned: 1,
    soundSensors: 3,
    medianReadings: 6,
  });
  // In the highest bin 0.977 are stated and two of three right; in that of 0.55 the one is right.
  expect(figures.calibrationError).toBeCloseTo((3 * (0.97667 - 2 / 3) + 0.45) / 4, 4);
  expect(figuresInWords('by hand', figures)).toContain('class right 66.7 %');
});

test('tables have a row for each group', () => {
  const table = figuresBy([one({}), one({ family: 'pedal' }), one({})], ({ family }) => family);
  expect(table.split('\n')).toHaveLength(4);
  expect(table).toMatch(/\| throttle \| 2 \|/u);
});

test('a few machines worked through come out right, and the same again from the same seed', () => {
  const few = () => workedCases(2, 'chosen', 7, ({ id }) => id === 'brill-p4');
  const cases = few();
  expect(cases).toHaveLength(2);
  for (const { decided, classRight, readings, minutes } of cases) {
    if (decided) expect(classRight).toBe(true);
    expect(readings).toBeGreaterThan(0);
    expect(minutes).toBeGreaterThan(0);
  }
  const again = few();
  expect(again.map(({ leaders }) => leaders)).toEqual(cases.map(({ leaders }) => leaders));
});
