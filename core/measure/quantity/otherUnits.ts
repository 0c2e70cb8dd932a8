/** Mass flow as grams per second; the pound is exact (NIST SP 811, B.8). */
const POUND_G = 453.59237;
export const GRAMS_PER_SECOND_PER_UNIT = {
  'g/s': 1,
  'kg/h': 1000 / 3600,
  'lb/min': POUND_G / 60,
} as const;
export type MassFlowUnit = keyof typeof GRAMS_PER_SECOND_PER_UNIT;
export const MASS_FLOW_UNITS = Object.keys(GRAMS_PER_SECOND_PER_UNIT) as MassFlowUnit[];
/** Mass flow into g/s. */
export const toGramsPerSecond = (value: number, unit: MassFlowUnit): number =>
  value * GRAMS_PER_SECOND_PER_UNIT[unit];
/** Mass flow out of g/s. */
export const fromGramsPerSecond = (gramsPerSecond: number, unit: MassFlowUnit): number =>
  gramsPerSecond / GRAMS_PER_SECOND_PER_UNIT[unit];

/** Temperature as kelvin (NIST SP 811, B.9): the scales have different zeros, so a factor is not enough. */
export const TEMPERATURE_UNITS = ['°C', '°F', 'K'] as const;
export type TemperatureUnit = (typeof TEMPERATURE_UNITS)[number];
const ZERO_CELSIUS_K = 273.15;

/** A temperature into kelvin, not a difference of two. */
export function toKelvin(value: number, unit: TemperatureUnit): number {
  if (unit === 'K') return value;
  return unit === '°C' ? value + ZERO_CELSIUS_K : (value - 32) / 1.8 + ZERO_CELSIUS_K;
}

/** A temperature out of kelvin, not a difference of two. */
export function fromKelvin(kelvin: number, unit: TemperatureUnit): number {
  if (unit === 'K') return kelvin;
  const celsius = kelvin - ZERO_CELSIUS_K;
  return unit === '°C' ? celsius : celsius * 1.8 + 32;
}
