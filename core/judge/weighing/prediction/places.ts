import { movesSensorItself, type Drive } from '../../../machine/places/index.ts';
import { feltBy, valueMet, type Effect } from '../../../machine/fault/index.ts';
import { toleranceAt, type SensorProfile } from '../../../measure/transfer/index.ts';
import { CELSIUS_NODES, type Answers } from './circuitAnswers.ts';
import type { QuantityGrid } from '../hypotheses/quantityGrid.ts';
import { TOLERANCES } from '../hypotheses/weighedCase.ts';

/** What the sensor meets at each node of a grid, and where that lies among the answers of the circuit. */
export interface Met {
  /** At the port of the sensor, and where a gauge at the source would be. */
  met: Float64Array;
  atSource: Float64Array;
  /** By tolerance and node: where its signal lies among the solved voltages; and half a step of the grid beside it. */
  placed: readonly Float64Array[];
  beside: Float64Array;
}

/** What is met in each of the ways that a hypothesis can change the quantity, and the way of each sized hypothesis. */
export interface Places {
  ways: readonly Met[];
  wayOf: Int32Array;
}

/** @param restingValue what the sensor meets while nothing goes on, in the measurand's unit */
export function metBy(
  effects: readonly Effect[],
  { values, halfSteps }: QuantityGrid,
  drive: Drive,
  profile: SensorProfile,
  restingValue: number,
  answers: Answers,
): Met {
  const onTheWay = movesSensorItself(drive) ? [] : effects;
  const atSource = onTheWay.filter(
    (effect) => effect.on === 'quantity' && effect.does === 'weakened' && effect.atSource,
  );
  const met = values.map((value) => valueMet(value, restingValue, onTheWay, profile));
  // A hand that moves the sensor itself goes past whatever is before it, and not past its own curve.
  const felt = feltBy(effects, profile);
  const placeOf = (value: number): number => answers.placeOf(answers.soundVolts(value));
  return {
    met,
    atSource: values.map((value) => valueMet(value, restingValue, atSource, profile)),
    placed: forEachTolerance((at) =>
      met.map((value) => placeOf(felt(value) + at * toleranceAt(value, profile))),
    ),
    beside: met.map((value, i) => Math.abs(placeOf(felt(value + halfSteps[i]!)) - placeOf(felt(value)))),
  };
}

/** Each place of the sensor in its tolerance once: a bent curve is long to invert. */
function forEachTolerance(placedAt: (at: number) => Float64Array): Float64Array[] {
  const known = new Map<number, Float64Array>();
  return TOLERANCES.map(({ at }) => {
    const placed = known.get(at) ?? placedAt(at);
    known.set(at, placed);
    return placed;
  });
}

/** Where temperatures lie among those that the circuit is solved for. */
export function amongTemperatures({ values, halfSteps }: QuantityGrid): Met {
  const placed = values.map(placeOfCelsius);
  return {
    met: values,
    atSource: values,
    placed: TOLERANCES.map(() => placed),
    beside: values.map((celsius, i) => placeOfCelsius(celsius + halfSteps[i]!) - placed[i]!),
  };
}

function placeOfCelsius(celsius: number): number {
  const last = CELSIUS_NODES.length - 2;
  const node = Math.min(
    last,
    Math.max(
      0,
      CELSIUS_NODES.findLastIndex((one) => one <= celsius),
    ),
  );
  const [from, to] = [CELSIUS_NODES[node]!, CELSIUS_NODES[node + 1]!];
  return Math.min(last + 1, node + (celsius - from) / (to - from));
}
