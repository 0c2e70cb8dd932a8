/**
 * Pressure units as kilopascals, each built from exact definitions rather than typed as a rounded decimal.
 * Columns of mercury and water are the conventional ones (13 595.1 and 1 000 kg/m³ at standard gravity):
 * NIST SP 811 (2008), Appendix B.8.
 */
const STANDARD_GRAVITY = 9.80665; // m/s², exact
const POUND_KG = 0.45359237; // exact
const INCH_M = 0.0254; // exact
const MERCURY_KG_PER_M3 = 13595.1; // conventional
const WATER_KG_PER_M3 = 1000; // conventional
// Real water, by its density where the scale was drawn: SP 811 prints 249.082 and 248.84 Pa for the inch.
const WATER_4C_KG_PER_M3 = 999.972;
const WATER_60F_KG_PER_M3 = 999.016;
const waterColumn = (metres: number, density: number): number => (metres * density * STANDARD_GRAVITY) / 1000;

export const KPA_PER_UNIT = {
  kPa: 1,
  Pa: 0.001,
  hPa: 0.1,
  mbar: 0.1,
  bar: 100,
  MPa: 1000,
  psi: (POUND_KG * STANDARD_GRAVITY) / INCH_M ** 2 / 1000,
  inHg: (INCH_M * MERCURY_KG_PER_M3 * STANDARD_GRAVITY) / 1000,
  mmHg: (0.001 * MERCURY_KG_PER_M3 * STANDARD_GRAVITY) / 1000,
  inH2O: waterColumn(INCH_M, WATER_KG_PER_M3),
  mmH2O: waterColumn(0.001, WATER_KG_PER_M3),
  'inH2O (4 °C)': waterColumn(INCH_M, WATER_4C_KG_PER_M3),
  'inH2O (60 °F)': waterColumn(INCH_M, WATER_60F_KG_PER_M3),
  'mmH2O (4 °C)': waterColumn(0.001, WATER_4C_KG_PER_M3),
  'kgf/cm²': STANDARD_GRAVITY / 1e-4 / 1000,
} as const;

export type PressureUnit = keyof typeof KPA_PER_UNIT;
export const PRESSURE_UNITS = Object.keys(KPA_PER_UNIT) as PressureUnit[];

/** Any pressure unit into kPa, by the factors of SI and of conventional mercury and water. */
export const toKpa = (value: number, unit: PressureUnit): number => value * KPA_PER_UNIT[unit];
/** kPa into any pressure unit. */
export const fromKpa = (kpa: number, unit: PressureUnit): number => kpa / KPA_PER_UNIT[unit];

/** What a sensor check resolves: no unit pretends to more digits than this is worth. */
const SHOWN_STEP_KPA = 0.2;

/** Of numbers as large as this, in whatever unit, no gauge and no live data shows a digit after the point. */
const WHOLE_FROM = 10_000;

/** Digits after the point that still show a step of this size. */
export function pressureDecimals(unit: PressureUnit, stepKpa = SHOWN_STEP_KPA): number {
  return Math.max(0, Math.ceil(-Math.log10(stepKpa / KPA_PER_UNIT[unit])));
}

/** A pressure as it is shown: its number in the unit, and the digits after the point that it is worth. */
export function shownPressure(
  kpa: number,
  unit: PressureUnit,
  stepKpa = SHOWN_STEP_KPA,
): { shown: number; decimals: number } {
  const shown = fromKpa(kpa, unit);
  return { shown, decimals: Math.abs(shown) >= WHOLE_FROM ? 0 : pressureDecimals(unit, stepKpa) };
}

/** kPa as a number with its unit, with the digits that a step of `stepKpa` is worth. */
export function formatPressure(kpa: number, unit: PressureUnit, stepKpa = SHOWN_STEP_KPA): string {
  // What cannot be a number is a dash, never a NaN on the screen.
  if (!Number.isFinite(kpa)) return '–';
  const { shown, decimals } = shownPressure(kpa, unit, stepKpa);
  return `${shown.toFixed(decimals)} ${unit}`;
}
