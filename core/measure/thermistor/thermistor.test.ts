import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  temperatureFromSignal,
  temperatureSignalVolts,
  thermistorOhms,
  type ThermistorLaw,
} from './index.ts';

const BETA: ThermistorLaw = { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 };
/** Textbook coefficients of a 10 kΩ bead (from memory). */
const STEINHART: ThermistorLaw = {
  law: 'steinhart-hart',
  a: 1.129241e-3,
  b: 2.341077e-4,
  c: 8.775468e-8,
};

test('a β thermistor has its nominal ohms at 25 °C, and by hand 5.87 kΩ at 0 °C', () => {
  expect(thermistorOhms(25, BETA)).toBeCloseTo(2000, 9);
  // 2000 · exp(3500 · (1/273.15 − 1/298.15))
  expect(thermistorOhms(0, BETA)).toBeCloseTo(2000 * Math.exp(3500 * (1 / 273.15 - 1 / 298.15)), 9);
});

test('the textbook 10 kΩ bead has 10 kΩ at 25 °C and about 32.65 kΩ at 0 °C (table from memory)', () => {
  expect(thermistorOhms(25, STEINHART) / 10_000).toBeCloseTo(1, 2);
  expect(thermistorOhms(0, STEINHART) / 32_650).toBeCloseTo(1, 2);
});

test('2 kΩ below a pull-up of 2 kΩ is half the reference', () => {
  expect(temperatureSignalVolts(25, 5, { thermistor: BETA, pullUpOhms: 2000 })).toBeCloseTo(2.5, 12);
});

test.each([
  ['β', BETA],
  ['Steinhart–Hart', STEINHART],
] as const)('temperature to volts and back is the identity by %s', (_law, thermistor) => {
  fc.assert(
    fc.property(
      fc.double({ min: -40, max: 140, noNaN: true }),
      fc.double({ min: 500, max: 20_000, noNaN: true }),
      (celsius, pullUpOhms) => {
        const volts = temperatureSignalVolts(celsius, 5, { thermistor, pullUpOhms });
        const back = temperatureFromSignal(volts, 5, { thermistor, pullUpOhms });
        // At the rails the signal means no temperature, and says so.
        return back.ok ? Math.abs(back.value.celsius - celsius) < 1e-6 : volts > 4.94 || volts < 0.06;
      },
    ),
  );
});

test.each([
  [4.99, 'open'],
  [0.01, 'shorted'],
  [NaN, 'open'],
])('%d V of temperature signal is %s', (volts, code) => {
  expect(temperatureFromSignal(volts, 5, { thermistor: BETA, pullUpOhms: 2000 })).toMatchObject({
    ok: false,
    problem: { code },
  });
});
