import type { AnswerTable } from './circuitAnswers.ts';
import { between, isFlat } from './rows.ts';
import { MIDDLE, type Stand } from '../hypotheses/weighedCase.ts';
import type { Places } from './places.ts';
import { type Scale } from './scales.ts';

/** Instead of a step: live data that lost its signal may show whatever it likes. */
export const ANYTHING = -1;
/** Of the range: as fine as live data and gauges are told apart. */
export const VALUE_STEP_SHARE = 0.012;

const ANY_PLACE = new Float64Array(1);
/** Uniform with this many standard deviations to each side, the spread of makers is that of the doubt. */
const DOUBT_REACH = Math.sqrt(3);
/** A doubt is walked through in so many pieces, since half of it may be past what the unit believes. */
const DOUBT_PIECES = 3;
const PIECE_ENDS = Array.from(
  { length: DOUBT_PIECES + 1 },
  (_, i) => DOUBT_REACH * ((2 * i) / DOUBT_PIECES - 1),
);

/**
 * What a reading would show, in steps of its scale: one list for each answer that differs, along the nodes of its quantity.
 * It depends on no reading that was taken, so that only the weights have to be added up anew after each.
 */
export interface ShownSteps {
  scale: Scale;
  /** By sized hypothesis: the number of its list. */
  listOf: Int32Array;
  /** A step at each node, or `ANYTHING`, of a machine that stands there. */
  list(number: number, stand: Stand): Int16Array;
  /** Whether it is the same whatever the quantity is: then one node does for all. */
  isFlat(number: number): boolean;
  /** What of a machine's stand it moves with, beside what moves all voltages. */
  movesWith(number: number): { supply: boolean; pull: boolean };
  /** Where makers differ: the ends of equally likely pieces of what they may show, from one list to the next. */
  pieces(number: number): readonly Int16Array[] | undefined;
}

/** @param stepOf of what is predicted at a node */
export function shownSteps(
  scale: Scale,
  { rows, rowOf }: AnswerTable,
  { ways, wayOf }: Places,
  stepOf: (predicted: number) => number,
): ShownSteps {
  const listOf = rowOf.map((row, s) => row * ways.length + wayOf[s]!);
  const rowAt = (number: number) => rows[Math.floor(number / ways.length)]!;
  const placesAt = (number: number) => ways[number % ways.length]!.placed[MIDDLE]!;
  const flat = rows.map(isFlat);
  const placesOf = (number: number): Float64Array =>
    flat[Math.floor(number / ways.length)]! ? ANY_PLACE : placesAt(number);
  const reads = keptBy((number) => alongPlaces(rowAt(number).reads, placesOf(number)));
  const moved = (number: number, by: Float64Array, times: number): Int16Array => {
    const at = reads(number);
    const places = placesOf(number);
    const steps = new Int16Array(at.length);
    for (let node = 0; node < at.length; node++)
      steps[node] = stepOf(at[node]! + times * between(by, places[node]!));
    return steps;
  };
  const made = (number: number, { supplyVolts, offsetVolts, pullShare }: Stand): Int16Array => {
    const { follows, pulls } = rowAt(number);
    if (follows && supplyVolts !== 0) return moved(number, follows, supplyVolts);
    if (pulls && pullShare !== 0) return moved(number, pulls, pullShare);
    return along(reads(number), stepOf, offsetVolts);
  };
  const byStand = new Map<Stand, (number: number) => Int16Array>();
  const listsAt = (stand: Stand) => {
    const known = byStand.get(stand) ?? keptBy((number) => made(number, stand));
    byStand.set(stand, known);
    return known;
  };
  return {
    scale,
    listOf,
    list: (number, stand) => listsAt(stand)(number),
    isFlat: (number) => flat[Math.floor(number / ways.length)]!,
    movesWith: (number) => {
      const { follows, pulls } = rowAt(number);
      return { supply: follows !== undefined, pull: pulls !== undefined };
    },
    pieces: keptBy((number) => {
      const { doubt } = rowAt(number);
      return doubt && PIECE_ENDS.map((end) => moved(number, doubt, end));
    }),
  };
}

/** A loop, since `from` takes several times as long with a function, and this is done some thousand times a reading. */
export function along(places: Float64Array, stepOf: (place: number) => number, off = 0): Int16Array {
  const steps = new Int16Array(places.length);
  for (let node = 0; node < places.length; node++) steps[node] = stepOf(places[node]! + off);
  return steps;
}

/** A row where the grid lies. */
function alongPlaces(row: Float64Array, places: Float64Array): Float64Array {
  const found = new Float64Array(places.length);
  for (let node = 0; node < found.length; node++) found[node] = between(row, places[node]!);
  return found;
}

/** Each worked out once. */
export function keptBy<Made>(make: (number: number) => Made): (number: number) => Made {
  const known = new Map<number, Made>();
  return (number) => {
    const before = known.get(number);
    if (before !== undefined || known.has(number)) return before as Made;
    const found = make(number);
    known.set(number, found);
    return found;
  };
}
