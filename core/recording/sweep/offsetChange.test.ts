import { expect, test } from 'vitest';
import { offsetChange } from './index.ts';

const RATE = 10;
const STILL = 0.4;
/** Scatter that is the same every time, between −½ and ½. */
const scatter = (i: number) => ((i * 0.618034) % 1) - 0.5;
/** A minute and a half at levels that change every six seconds, the gauge and the sensor each with its own scatter. */
function recorded(errorOf: (kpa: number, seconds: number) => number, levels = [40, 55, 70, 85, 70, 55]) {
  const samples = 90 * RATE;
  const seconds = Float64Array.from({ length: samples }, (_, i) => i / RATE);
  const kpa = seconds.map((at) => levels[Math.floor(at / 6) % levels.length]!);
  return {
    seconds,
    gauge: kpa.map((one, i) => one + 0.1 * scatter(i)),
    sensor: kpa.map((one, i) => one + errorOf(one, seconds[i]!) + 0.2 * scatter(7 * i)),
  };
}
const changeIn = ({ seconds, gauge, sensor }: ReturnType<typeof recorded>) =>
  offsetChange(seconds, gauge, sensor, STILL);

const atOnce = (given: ReturnType<typeof recorded>) => {
  const found = changeIn(given);
  expect(found?.how).toBe('at-once');
  return found?.how === 'at-once' ? found : undefined;
};

test.each([
  [37.5, 1.2],
  [12, -0.8],
  [75.3, 3],
])(
  'an offset that changes at %d s by %d kPa is found to a second and a tenth of a kilopascal',
  (moment, by) => {
    const found = atOnce(recorded((_, at) => 0.6 + (at >= moment ? by : 0)));
    expect(Math.abs(found!.atSeconds - moment)).toBeLessThanOrEqual(1);
    expect(Math.abs(found!.by - by)).toBeLessThanOrEqual(0.1);
  },
);

test('a change at one level only, with a gain that is off besides, is told by the change alone', () => {
  const found = atOnce(recorded((kpa, at) => 0.04 * (kpa - 55) + (at >= 50 ? 1.5 : 0)));
  expect(Math.abs(found!.atSeconds - 50)).toBeLessThanOrEqual(1);
  expect(Math.abs(found!.by - 1.5)).toBeLessThanOrEqual(0.1);
  const standing = atOnce(recorded((_, at) => (at >= 50 ? 1.5 : 0), [60]));
  expect(Math.abs(standing!.by - 1.5)).toBeLessThanOrEqual(0.1);
});

test('a drift is a drift, at no moment in particular', () => {
  const found = changeIn(recorded((kpa, at) => 0.03 * at + 0.02 * kpa))!;
  expect(found.how).toBe('slowly');
  expect(Math.abs(found.by - 0.03 * 90)).toBeLessThanOrEqual(0.1);
});

test('what the level or the way to it explains is no change: hysteresis, or an end that bends, seen once', () => {
  const once = [40, 48, 56, 64, 72, 80, 88, 88, 80, 72, 64, 56, 48, 40, 40];
  expect(changeIn(recorded((_, at) => (at < 54 ? -0.6 : 0.6), once))).toBeUndefined();
  expect(changeIn(recorded((kpa) => Math.min(0, 75 - kpa), once))).toBeUndefined();
});

test('one offset, a gain that is off, or nothing at all is no change', () => {
  expect(changeIn(recorded(() => 2))).toBeUndefined();
  expect(changeIn(recorded((kpa) => 0.08 * (kpa - 40)))).toBeUndefined();
  expect(changeIn(recorded(() => 0, [60]))).toBeUndefined();
  // Up one half of the time and down the other: what follows the level is no matter of the time.
  expect(
    changeIn(recorded((kpa) => 0.08 * (kpa - 40), [40, 45, 50, 55, 60, 65, 70, 75, 80, 85])),
  ).toBeUndefined();
  const none = new Float64Array(0);
  expect(offsetChange(none, none, none, STILL)).toBeUndefined();
  const { seconds, gauge } = recorded(() => 0);
  expect(
    offsetChange(
      seconds,
      gauge,
      gauge.map(() => NaN),
      STILL,
    ),
  ).toBeUndefined();
});
