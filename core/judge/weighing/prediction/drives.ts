import type { Drive } from '../../../machine/places/index.ts';
import { CELSIUS_NODES } from './circuitAnswers.ts';
import type { QuantityGrid } from '../hypotheses/quantityGrid.ts';

/** Readings of the same drive are of one and the same quantity. */
export const driveOf = ({ engine, stimulus }: Drive): string =>
  // What showed the pump's pressure does not change it.
  JSON.stringify([engine, stimulus?.kind === 'pump' ? stimulus.kpaAboveAmbient : stimulus]);

/** All readings of a temperature are of one: it changes slowly. */
export const CELSIUS_DRIVE = 'celsius';

/** Most engines are not far from the air around them, or warm from work. */
export function celsiusGrid(airCelsius: number | undefined): QuantityGrid {
  const near = (celsius: number): number =>
    airCelsius === undefined ? 0 : 4 * Math.exp(-0.5 * ((celsius - airCelsius) / NEAR_KELVIN) ** 2);
  const [coldest, hottest] = [CELSIUS_NODES[0]!, CELSIUS_NODES.at(-1)!];
  // So close that one wire read at three places is of one temperature, whichever lies nearest.
  const values = Float64Array.from(
    { length: Math.round((hottest - coldest) / STEP_KELVIN) + 1 },
    (_, i) => coldest + STEP_KELVIN * i,
  );
  const weights = values.map((celsius) => (celsius > 70 || celsius < -10 ? 0.3 : 1) + near(celsius));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return {
    values,
    weights: weights.map((weight) => weight / total),
    halfSteps: new Float64Array(values.length).fill(STEP_KELVIN / 2),
  };
}
const NEAR_KELVIN = 10;
const STEP_KELVIN = 2;
