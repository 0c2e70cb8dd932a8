import { say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';

const ZERO_CELSIUS_K = 273.15;

/** A resistance that falls as it gets warmer, by either of the two published laws. */
export type ThermistorLaw =
  /** R = R25 · exp(β (1/T − 1/298.15 K)). */
  | { law: 'beta'; ohmsAt25Celsius: number; betaKelvin: number }
  /** 1/T = a + b ln R + c (ln R)³: Steinhart and Hart, Deep-Sea Research 15 (1968) 497. */
  | { law: 'steinhart-hart'; a: number; b: number; c: number };

/** The thermistor with the resistor in the control unit that feeds it. */
export interface ThermistorInput {
  thermistor: ThermistorLaw;
  pullUpOhms: number;
}

/** Ohms at a temperature in °C, by beta or by Steinhart and Hart (1968). */
export function thermistorOhms(celsius: number, thermistor: ThermistorLaw): number {
  const kelvin = celsius + ZERO_CELSIUS_K;
  if (thermistor.law === 'beta') {
    const { ohmsAt25Celsius, betaKelvin } = thermistor;
    return ohmsAt25Celsius * Math.exp(betaKelvin * (1 / kelvin - 1 / (25 + ZERO_CELSIUS_K)));
  }
  // The cubic in ln R has one real root where b and c are positive: Cardano's formula.
  const { a, b, c } = thermistor;
  const half = (a - 1 / kelvin) / c / 2;
  const root = Math.sqrt((b / (3 * c)) ** 3 + half ** 2);
  return Math.exp(Math.cbrt(root - half) - Math.cbrt(root + half));
}

/** °C at a resistance in ohms; the inverse of `thermistorOhms`, NaN for what is no resistance. */
export function thermistorCelsius(ohms: number, thermistor: ThermistorLaw): number {
  if (thermistor.law === 'beta') {
    const { ohmsAt25Celsius, betaKelvin } = thermistor;
    return 1 / (1 / (25 + ZERO_CELSIUS_K) + Math.log(ohms / ohmsAt25Celsius) / betaKelvin) - ZERO_CELSIUS_K;
  }
  const { a, b, c } = thermistor;
  const log = Math.log(ohms);
  return 1 / (a + b * log + c * log ** 3) - ZERO_CELSIUS_K;
}

/** Signal volts against the sensor's return. */
export function temperatureSignalVolts(
  celsius: number,
  referenceVolts: number,
  { thermistor, pullUpOhms }: ThermistorInput,
): number {
  const ohms = thermistorOhms(celsius, thermistor);
  return (referenceVolts * ohms) / (ohms + pullUpOhms);
}

/** The inverse. Fails with `open` or `shorted` at the rails, where no temperature is meant. */
export function temperatureFromSignal(
  signalVolts: number,
  referenceVolts: number,
  { thermistor, pullUpOhms }: ThermistorInput,
): Result<{ celsius: number; ohms: number }, 'open' | 'shorted'> {
  const share = signalVolts / referenceVolts;
  if (!(share < 0.99)) {
    return fail(
      'open',
      say('transfer.temperature-signal-sits-reference'),
      say('transfer.look-open-sensor-wire'),
    );
  }
  if (!(share > 0.01)) {
    return fail('shorted', say('transfer.temperature-signal-sits-ground'), say('transfer.look-short-ground'));
  }
  const ohms = (pullUpOhms * share) / (1 - share);
  return ok({ ohms, celsius: thermistorCelsius(ohms, thermistor) });
}
