import { signalBand, valueAtNominal, type SensorProfile } from '../../../measure/transfer/index.ts';
import type { Spot } from '../../../machine/places/index.ts';
import type { AnswerTable } from './circuitAnswers.ts';
import { between } from './rows.ts';
import { TOLERANCES } from '../hypotheses/weighedCase.ts';
import type { Places } from './places.ts';
import { METER_SCALE, OHMS_SCALE, valueScale, type Scale } from './scales.ts';

/** Instead of a step: live data that lost its signal may show whatever it likes. */
export const ANYTHING = -1;
/** Of the range: as fine as live data and gauges are told apart. */
const VALUE_STEP_SHARE = 0.012;
const MIDDLE = (TOLERANCES.length - 1) / 2;

/**
 * What a reading would show, in steps of its scale: one list for each answer that differs, along the nodes of its quantity.
 * It depends on no reading that was taken, so that only the weights have to be added up anew after each.
 */
export interface ShownSteps {
  scale: Scale;
  /** By sized hypothesis: the number of its list. */
  listOf: Int32Array;
  /** A step at each node, or `ANYTHING`. */
  list(number: number): Int16Array;
}

/** Of a gauge, which knows what is met and nothing of the circuit. */
export function stepsOfGauge(
  tap: 'manifold' | 'sensor-hose',
  { ways, wayOf }: Places,
  profile: SensorProfile,
) {
  const scale = valueScale(profile, VALUE_STEP_SHARE);
  return shown(scale, wayOf, (number) => {
    const { atSource, met } = ways[number]!;
    return along(tap === 'manifold' ? atSource : met, scale.stepOf);
  });
}

/** Of whatever the circuit answers for. */
export function stepsOfAnswers(
  kind: Exclude<Spot['kind'], 'gauge'>,
  table: AnswerTable,
  places: Places,
  profile: SensorProfile,
): ShownSteps {
  const scale =
    kind === 'scan' ? valueScale(profile, VALUE_STEP_SHARE) : kind === 'ohms' ? OHMS_SCALE : METER_SCALE;
  const stepOf = kind === 'scan' ? (volts: number) => liveStep(volts, profile, scale) : scale.stepOf;
  return shownSteps(scale, table, places, stepOf);
}

/** @param stepOf of what is predicted at a node */
export function shownSteps(
  scale: Scale,
  { rows, rowOf }: AnswerTable,
  { ways, wayOf }: Places,
  stepOf: (predicted: number) => number,
): ShownSteps {
  const listOf = rowOf.map((row, s) => row * ways.length + wayOf[s]!);
  return shown(scale, listOf, (number) => {
    const { reads } = rows[Math.floor(number / ways.length)]!;
    const places = ways[number % ways.length]!.placed[MIDDLE]!;
    return along(places, (place) => stepOf(between(reads, place)));
  });
}

function liveStep(volts: number, profile: SensorProfile, scale: Scale): number {
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  return band === 'circuit-low' || band === 'circuit-high'
    ? ANYTHING
    : scale.stepOf(valueAtNominal(volts, profile));
}

/** A loop, since `from` takes several times as long with a function, and this is done some thousand times a reading. */
function along(places: Float64Array, stepOf: (place: number) => number): Int16Array {
  const steps = new Int16Array(places.length);
  for (let node = 0; node < places.length; node++) steps[node] = stepOf(places[node]!);
  return steps;
}

function shown(scale: Scale, listOf: Int32Array, made: (number: number) => Int16Array): ShownSteps {
  const lists = new Map<number, Int16Array>();
  return {
    scale,
    listOf,
    list: (number) => {
      const known = lists.get(number);
      if (known) return known;
      const list = made(number);
      lists.set(number, list);
      return list;
    },
  };
}
