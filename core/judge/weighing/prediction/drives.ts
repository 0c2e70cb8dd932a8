import type { Drive } from '../../../machine/places/index.ts';
import { CELSIUS_NODES } from './circuitAnswers.ts';
import type { QuantityGrid } from '../hypotheses/quantityGrid.ts';

/** Readings of the same drive are of one and the same quantity. */
export const driveOf = ({ engine, stimulus }: Drive): string =>
  // What showed the pump's pressure does not change it.
  JSON.stringify([engine, stimulus?.kind === 'pump' ? stimulus.kpaAboveAmbient : stimulus]);

/** All readings of a temperature are of one: it changes slowly, and is looked at in coarse steps. */
export const CELSIUS_DRIVE = 'celsius';

/** Most engines are not far from the air around them, or warm from work. */
export function celsiusGrid(airCelsius: number | undefined): QuantityGrid {
  const near = (celsius: number): number =>
    airCelsius === undefined ? 0 : 4 * Math.exp(-0.5 * ((celsius - airCelsius) / NEAR_KELVIN) ** 2);
  const weights = CELSIUS_NODES.map((celsius) => (celsius > 70 || celsius < -10 ? 0.3 : 1) + near(celsius));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return {
    values: Float64Array.from(CELSIUS_NODES),
    weights: Float64Array.from(weights, (weight) => weight / total),
    halfSteps: new Float64Array(weights.length).fill(5),
  };
}
const NEAR_KELVIN = 10;
