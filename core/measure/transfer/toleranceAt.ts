import type { SensorProfile } from './sensorProfile.ts';

/** Where makers state their plain tolerance, and what is taken while the sensor's temperature is not known. */
export const ROOM_CELSIUS = 25;

/** Half-width of the maker's limits at a value, in the measurand's unit. */
export function toleranceAt(
  value: number,
  { tolerance, lowest, highest }: Pick<SensorProfile, 'tolerance' | 'lowest' | 'highest'>,
  sensorCelsius = ROOM_CELSIUS,
): number {
  switch (tolerance.form) {
    case 'plus-minus':
      return tolerance.plusMinus;
    case 'of-span':
      return (tolerance.percent / 100) * (highest - lowest);
    case 'of-value':
      return Math.max(tolerance.atLeast, (tolerance.percent / 100) * Math.abs(value));
    case 'temperature-band':
      return tolerance.plusMinus * factorAt(sensorCelsius, tolerance.multipliers);
  }
}

/** Past the coldest and the hottest point the last factor is kept: the maker says nothing there. */
function factorAt(celsius: number, multipliers: readonly { celsius: number; factor: number }[]): number {
  const hotter = multipliers.findIndex((point) => point.celsius >= celsius);
  const above = multipliers[hotter];
  const below = multipliers[hotter - 1];
  if (!above) return multipliers.at(-1)?.factor ?? 1;
  if (!below) return above.factor;
  const along = (celsius - below.celsius) / (above.celsius - below.celsius);
  return below.factor + along * (above.factor - below.factor);
}
