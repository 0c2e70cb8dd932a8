import { expect, test } from 'vitest';
import type { SensorProfile } from '../../../measure/transfer/index.ts';
import { calibrationIn, type SweepContext } from '../index.ts';
import type { HeldReading } from './heldReadings.ts';
import { levelTable } from './levelTable.ts';

const held = (direction: HeldReading['direction'], level: number, error: number): HeldReading => ({
  direction,
  level,
  reads: level + error,
  fromSeconds: 0,
  untilSeconds: 0,
});
/** Two cycles over five levels of a span of 100, with errors written down beforehand. */
const CALIBRATION = [
  ...[0.1, 0.25, 0.4, 0.2, -0.1].map((error, i) => held('up', 25 * i, error)),
  ...[0.3, 0.6, 0.45, 0.2].map((error, i) => held('down', 75 - 25 * i, error)),
  ...[0.3, 0.35, 0.15, -0.2].map((error, i) => held('up', 25 + 25 * i, error)),
  ...[0.35, 0.55, 0.4, 0.15].map((error, i) => held('down', 75 - 25 * i, error)),
];

// By hand. Means: 0.1375, 0.35, 0.475, 0.25, −0.15. The line through the ends is at −0.00625 in the middle, so 0.48125 away; the
// best line lies half as far from three of them; one through the lower end with a slope of 0.05/150 is 0.3208 from two.
test('the figures of a calibration worked out by hand', () => {
  const { levels, figures } = levelTable(CALIBRATION, 100)!;
  expect(levels.map(({ level }) => level)).toEqual([0, 25, 50, 75, 100]);
  expect(levels.map(({ meanError }) => Number(meanError.toFixed(4)))).toEqual([
    0.1375, 0.35, 0.475, 0.25, -0.15,
  ]);
  const near = (value: number) => expect.closeTo(value, 6) as number;
  expect(figures).toEqual({
    mostAbove: { percent: near(0.6), at: 50 },
    mostBelow: { percent: near(-0.2), at: 100 },
    hysteresis: { percent: near(-0.2), at: 50 },
    repeatability: { percent: near(0.1), at: 100, direction: 'up' },
    terminalNonLinearity: { percent: near(0.48125), at: 50 },
    zeroBasedNonLinearityPercent: near(0.3208333),
    independentNonLinearityPercent: near(0.240625),
  });
});

test('errors on one side only have no largest on the other, and one past what is allowed at its level is told', () => {
  const above = levelTable(
    CALIBRATION.map((one) => ({ ...one, reads: one.reads + 1 })),
    100,
  )!;
  expect(above.figures.mostAbove?.percent).toBeCloseTo(1.6, 6);
  expect(above.figures.mostBelow).toBeUndefined();
  const ofValue = { ...PRESSURE, tolerance: { form: 'of-value', percent: 1, atLeast: 0.1 } as const };
  const found = calibrationIn(
    stepped(UP_AND_DOWN, () => 0.6, 'kPa'),
    context({ profile: ofValue }),
  )!;
  // One per cent of 20 and of 45 kPa is less than 0.6 kPa, of 70 and above it is more.
  expect(found.allowedPercent[0]).toBeCloseTo(0.2, 2);
  expect(found.allowedPercent[4]).toBeCloseTo(1.2, 2);
  expect(found.exceeds).toBe(true);
});

test('read once, and one way only, it has no repeatability and no hysteresis; two levels are no calibration', () => {
  const oneWay = CALIBRATION.slice(0, 5);
  expect(levelTable(oneWay, 100)?.figures).toMatchObject({ hysteresis: undefined, repeatability: undefined });
  expect(levelTable(oneWay.slice(0, 2), 100)).toBeUndefined();
  expect(levelTable([], 100)).toBeUndefined();
});

const PRESSURE: SensorProfile = {
  measures: 'absolute-pressure',
  transfer: { form: 'linear', low: { volts: 0.5, value: 20 }, high: { volts: 4.5, value: 120 } },
  nominalReferenceVolts: 5,
  lowest: 20,
  highest: 120,
  circuitLowVolts: 0.2,
  circuitHighVolts: 4.8,
  tolerance: { form: 'plus-minus', plusMinus: 1 },
  differenceThatMatters: 1,
  bias: 'pull-down',
};
const context = (over: Partial<SweepContext> = {}): SweepContext => ({
  profile: PRESSURE,
  companion: undefined,
  uses: ['stimulus', 'signal'],
  bases: ['absolute', undefined],
  ...over,
});

/** Held for six seconds each, at 20 samples a second, the sensor half a second behind and off by what is asked. */
function stepped(levels: readonly number[], errorOf: (kpa: number, up: boolean) => number, unit: string) {
  // Scatter that is the same every time.
  const scatter = (i: number) => ((i * 0.618034) % 1) - 0.5;
  const rate = 20;
  const [gauge, volts]: [number[], number[]] = [[], []];
  let [behind, from] = [levels[0]!, levels[0]!];
  for (const level of levels)
    for (let i = 0; i < 6 * rate; i++) {
      const now = level + (from - level) * Math.exp((-3 * i) / rate);
      behind += (now - behind) * (1 - Math.exp(-2 / rate));
      gauge.push((unit === 'mbar' ? 10 : 1) * (now + 0.05 * scatter(gauge.length)));
      volts.push(
        0.5 +
          (behind - 20 + errorOf(i === 0 ? from : level, level >= from)) * 0.04 +
          0.002 * scatter(3 * volts.length),
      );
      if (i === 6 * rate - 1) from = level;
    }
  return {
    seconds: Float64Array.from(gauge, (_, i) => i / rate),
    channels: [
      { name: 'Gauge', unit, values: Float64Array.from(gauge) },
      { name: 'Signal', unit: 'V', values: Float64Array.from(volts) },
    ],
  };
}
const UP_AND_DOWN = [20, 45, 70, 95, 120, 95, 70, 45, 20];

test.each(['kPa', 'mbar'])(
  'a stepped gauge in %s beside the signal is a calibration: 0.8 kPa of hysteresis found',
  (unit) => {
    const found = calibrationIn(
      stepped(UP_AND_DOWN, (kpa, up) => (kpa === 20 || kpa === 120 ? 0 : up ? -0.3 : 0.5), unit),
      context(),
    )!;
    expect(found.readings.map(({ direction }) => direction).join(' ')).toBe(
      'up up up up up down down down down',
    );
    expect(found.levels.map(({ level }) => Math.round(level))).toEqual([20, 45, 70, 95, 120]);
    expect(found.span).toBe(100);
    expect(found.allowedPercent.map((one) => Number(one.toFixed(9)))).toEqual([1, 1, 1, 1, 1]);
    expect(found.exceeds).toBe(false);
    expect(found.figures.hysteresis!.percent).toBeCloseTo(-0.8, 1);
    expect(found.figures.mostAbove!.percent).toBeCloseTo(0.5, 1);
    expect(found.figures.mostBelow!.percent).toBeCloseTo(-0.3, 1);
  },
);

test('where the signal is past the limits of its circuit it has no value: no error, no figure, and it is counted', () => {
  const broken = stepped(UP_AND_DOWN, (kpa) => (kpa === 70 ? -60 : 0), 'kPa');
  const found = calibrationIn(broken, context())!;
  expect(found).toMatchObject({ withoutValue: 2, beyondRange: 0, supply: 'no-matter', exceeds: false });
  expect(found.levels.map(({ level }) => Math.round(level))).toEqual([20, 45, 95, 120]);
  const ratiometric = { form: 'ratiometric', sharePerUnit: 0.008, shareAtZero: -0.06 } as const;
  const shared = context({ profile: { ...PRESSURE, transfer: ratiometric } });
  expect(calibrationIn(broken, shared)?.supply).toBe('assumed');
});

test('levels past the range of the sensor are left out and counted, and without a stimulus there is no calibration', () => {
  const wide = stepped([10, ...UP_AND_DOWN, 10], () => 0, 'kPa');
  expect(calibrationIn(wide, context())).toMatchObject({ beyondRange: 2 });
  expect(calibrationIn(wide, context({ uses: ['other', 'signal'] }))).toBeUndefined();
  expect(calibrationIn(wide, context({ bases: ['vacuum', undefined] }))).toBeUndefined();
});
