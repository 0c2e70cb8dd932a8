import {
  isPressure,
  MEASURANDS,
  shownPressure,
  fromKpa,
  type PressureUnit,
} from '@lettura/core/measure/quantity';
import type { Quantity } from '@lettura/core/measure/message';
import { localeOf } from './languages.ts';
import type { Reader } from './reader.ts';

/** What cannot be a number is a dash, never a NaN before a person. */
const NO_NUMBER = '–';
/** Below this, volts are said as millivolts. */
const SMALL_VOLTS = 0.6;
/** Past this a meter shows no ohms any more. */
const OL_OHMS = 4e7;
/** So often is more than anybody counts. */
const MOST_TIMES = 1000;
const DECIMALS = { '%': 1, '°': 1, 'g/s': 2 } as const;
/** More are noise of the arithmetic. */
const MOST_DECIMALS = 6;
const FINE_STEP_KPA = 0.02;

/** A quantity with its unit, as this reader reads it. */
export function quantityWords(quantity: Quantity, reader: Reader): string {
  if ('volts' in quantity) return voltsWords(quantity.volts, reader);
  if ('ohms' in quantity) return ohmsWords(quantity.ohms, reader);
  if ('kpa' in quantity) {
    const { kpa, as } = quantity;
    return as === 'vacuum'
      ? pressureWords(kpa, reader.vacuumUnit ?? reader.pressureUnit, undefined, reader)
      : pressureWords(kpa, reader.pressureUnit, as, reader);
  }
  if ('plain' in quantity) return plainWords(quantity.plain, quantity.unit, reader);
  if ('kpaIn' in quantity)
    return withUnit(String(Number(fromKpa(quantity.kpaIn, quantity.unit).toFixed(3))), quantity.unit);
  if ('times' in quantity) return timesWords(quantity.times, reader);
  if ('fixed' in quantity) {
    if (!Number.isFinite(quantity.fixed)) return NO_NUMBER;
    const number = digits(quantity.fixed, quantity.decimals, reader);
    return quantity.unit === undefined ? number : withUnit(number, quantity.unit);
  }
  const { value, measures, as } = quantity;
  if (!isPressure(measures)) {
    const { unit } = MEASURANDS[measures] as { unit: keyof typeof DECIMALS };
    return Number.isFinite(value)
      ? withUnit(digits(value, DECIMALS[unit] + (as === 'fine' ? 1 : 0), reader), unit)
      : NO_NUMBER;
  }
  const shown = pressureWords(value, reader.pressureUnit, as === 'fine' ? as : undefined, reader);
  return as === 'with-basis' ? `${shown} ${BASIS[measures]}` : shown;
}

const plainWords = (value: number, unit: string | undefined, reader: Reader): string => {
  if (!Number.isFinite(value)) return NO_NUMBER;
  const number = format('plain', { maximumFractionDigits: MOST_DECIMALS }, reader).format(value);
  return unit === undefined ? number : withUnit(number, unit);
};

/** What the same pressure is counted from; written like a unit. */
const BASIS = {
  'absolute-pressure': 'abs',
  'gauge-pressure': 'gauge',
  'differential-pressure': 'diff',
} as const;

function voltsWords(volts: number, reader: Reader): string {
  if (!Number.isFinite(volts)) return NO_NUMBER;
  const size = Math.abs(volts);
  const words =
    size < SMALL_VOLTS
      ? withUnit(digits(Math.round(size * 1000), 0, reader), 'mV')
      : withUnit(digits(size, 2, reader), 'V');
  return volts < 0 && /[1-9]/u.test(words) ? `−${words}` : words;
}

function ohmsWords(ohms: number, reader: Reader): string {
  if (!(ohms < OL_OHMS)) return 'OL';
  if (ohms < 1000) return withUnit(digits(ohms, 1, reader), 'Ω');
  return ohms < 1e6
    ? withUnit(threeDigits(ohms / 1e3, reader), 'kΩ')
    : withUnit(threeDigits(ohms / 1e6, reader), 'MΩ');
}

function pressureWords(kpa: number, unit: PressureUnit, as: 'fine' | undefined, reader: Reader): string {
  if (!Number.isFinite(kpa)) return NO_NUMBER;
  const { shown, decimals } = shownPressure(kpa, unit, as && FINE_STEP_KPA);
  return withUnit(digits(shown, decimals, reader), unit);
}

function timesWords(factor: number, { language }: Reader): string {
  const most = factor <= MOST_TIMES ? factor : MOST_TIMES;
  return new Intl.NumberFormat(localeOf(language), { maximumSignificantDigits: 2 }).format(most);
}

/** Whether a factor is past what is counted. */
export const isBeyondCounting = (factor: number): boolean => !(factor <= MOST_TIMES);

const withUnit = (number: string, unit: string): string => `${number} ${unit}`;

const kept = new Map<string, Intl.NumberFormat>();
const format = (key: string, options: Intl.NumberFormatOptions, { language }: Reader): Intl.NumberFormat => {
  const name = `${language} ${key}`;
  const one = kept.get(name) ?? new Intl.NumberFormat(localeOf(language), { useGrouping: false, ...options });
  kept.set(name, one);
  return one;
};
const digits = (value: number, decimals: number, reader: Reader): string =>
  format(`${decimals}`, { minimumFractionDigits: decimals, maximumFractionDigits: decimals }, reader).format(
    value,
  );
const threeDigits = (value: number, reader: Reader): string =>
  format('three', { minimumSignificantDigits: 3, maximumSignificantDigits: 3 }, reader).format(value);
