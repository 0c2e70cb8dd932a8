import { FEED_VOLTS } from '../../machine/limits/index.ts';
import { expect, test } from 'vitest';
import type { MachineState, Target } from '../../machine/places/index.ts';
import { MPX4250A, type SensorProfile } from '../../measure/transfer/index.ts';
import { expectedReading, whyNoExpectation, type ExpectationContext } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const throttle: SensorProfile = {
  ...MPX4250A,
  measures: 'position',
  transfer: { form: 'linear', low: { volts: 0.7, value: 0 }, high: { volts: 4.3, value: 100 } },
  lowest: 0,
  highest: 100,
  tolerance: { form: 'plus-minus', plusMinus: 2 },
  bias: 'pull-up',
};
const second: Target = { kind: 'wire', lane: 'second-signal', place: 'plug' };
const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const context: ExpectationContext = {
  family: 'throttle',
  profile: throttle,
  ambient: undefined,
  referenceVolts: 5,
  companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
};

test('a mirrored track 2 is expected where it makes up the reference with track 1', () => {
  const measured = coded(expectedReading(second, koeo, { ...context, signalVolts: () => 0.8 }));
  expect(measured).toMatchObject({ lowest: 4, highest: 4.4 }); // 5 − 0.8 ± 4 % of 5 V
  const unmeasured = coded(expectedReading(second, koeo, context));
  expect(unmeasured?.reason).toContain('expectation.where-track-1-should');
  expect(unmeasured?.highest).toBeGreaterThan(4.4);
});

test('a temperature signal is expected from the air: 2 kΩ of 25 °C below 2 kΩ is half the reference', () => {
  const temperature: ExpectationContext = {
    ...context,
    ambient: { pressureKpaAbs: 100, expandedUncertaintyKpa: 0.3, source: 'barometer', airCelsius: 25 },
    companion: {
      kind: 'temperature',
      thermistor: { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 },
      pullUpOhms: 2000,
    },
  };
  const expected = coded(expectedReading(second, koeo, temperature));
  expect(expected?.lowest).toBeLessThan(2.5);
  expect(expected?.highest).toBeGreaterThan(2.5);
  const cold = { ...temperature, ambient: undefined };
  expect(expectedReading(second, koeo, cold)).toBeUndefined();
  expect(coded(whyNoExpectation(second, koeo, cold))).toBe(
    'expectation.give-air-temperature-ambient-pressure',
  );
});

test('the battery feed of a hot element is expected at battery voltage, and a body without one says so', () => {
  const feed: Target = { kind: 'wire', lane: 'battery-feed', place: 'plug' };
  expect(expectedReading(feed, koeo, context)).toMatchObject(FEED_VOLTS.stopped);
  expect(expectedReading(feed, { ...koeo, engine: 'idle' }, context)).toMatchObject(FEED_VOLTS.running);
  const alone: ExpectationContext = { ...context, companion: undefined };
  expect(expectedReading(second, koeo, alone)).toBeUndefined();
  expect(coded(whyNoExpectation(second, koeo, alone))).toBe('expectation.sensor-no-second-signal-library');
});
