import { floats, shorts } from '../blocks.ts';
import type { AnswerTable } from './circuitAnswers.ts';
import { between, isFlat, type Row } from './rows.ts';
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
  /** By sized hypothesis: the number of what it shows. */
  shownOf: Int32Array;
  shown(number: number): Shown;
}

/** What a reading would show along the nodes of its quantity. */
export interface Shown {
  /** Whether it is the same whatever the quantity is: then one node does for all. */
  isFlat: boolean;
  /** What of a machine's stand it moves with, beside what moves all voltages. */
  movesWith: { supply: boolean; pull: boolean };
  /** A step at each node, or `ANYTHING`, of a machine that stands there; worked out when it is first asked for. */
  at(stand: NumberedStand): Int16Array;
  /** Where makers differ: the ends of equally likely pieces of what they may show, from one list to the next. */
  pieces: readonly Int16Array[] | undefined;
}

export interface NumberedStand extends Stand {
  number: number;
}

/** @param stepOf of what is predicted at a node */
export function shownSteps(
  scale: Scale,
  { rows, rowOf }: AnswerTable,
  { ways, wayOf }: Places,
  stepOf: (predicted: number) => number,
): ShownSteps {
  const shownOf = rowOf.map((row, s) => row * ways.length + wayOf[s]!);
  const shown = keptBy((number) => {
    const row = rows[Math.floor(number / ways.length)]!;
    const isSame = isFlat(row);
    return new ShownOn(row, isSame, isSame ? ANY_PLACE : ways[number % ways.length]!.placed[MIDDLE]!, stepOf);
  });
  return { scale, shownOf, shown };
}

/** On a row of the circuit's answers. */
class ShownOn implements Shown {
  readonly isFlat: boolean;
  readonly movesWith: Shown['movesWith'];
  readonly pieces: Shown['pieces'];
  readonly #row: Row;
  readonly #places: Float64Array;
  readonly #usual: Float64Array;
  readonly #stepOf: (predicted: number) => number;
  /** By number of a stand. */
  readonly #steps: Int16Array[] = [];

  constructor(row: Row, isSame: boolean, places: Float64Array, stepOf: (predicted: number) => number) {
    const { reads, doubt, follows, pulls } = row;
    this.#row = row;
    this.#places = places;
    this.#usual = alongPlaces(reads, places);
    this.#stepOf = stepOf;
    this.isFlat = isSame;
    this.movesWith = { supply: follows !== undefined, pull: pulls !== undefined };
    this.pieces = doubt && PIECE_ENDS.map((end) => this.#moved(doubt, end));
  }

  at(stand: NumberedStand): Int16Array {
    return (this.#steps[stand.number] ??= this.#standing(stand));
  }

  #standing({ supplyVolts, offsetVolts, pullShare }: Stand): Int16Array {
    const { follows, pulls } = this.#row;
    if (follows && supplyVolts !== 0) return this.#moved(follows, supplyVolts);
    if (pulls && pullShare !== 0) return this.#moved(pulls, pullShare);
    return along(this.#usual, this.#stepOf, offsetVolts);
  }

  #moved(by: Float64Array, times: number): Int16Array {
    const steps = shorts(this.#usual.length);
    for (let node = 0; node < steps.length; node++)
      steps[node] = this.#stepOf(this.#usual[node]! + times * between(by, this.#places[node]!));
    return steps;
  }
}

/** A loop, since `from` takes several times as long with a function, and this is done some thousand times a reading. */
export function along(places: Float64Array, stepOf: (place: number) => number, off = 0): Int16Array {
  const steps = shorts(places.length);
  for (let node = 0; node < places.length; node++) steps[node] = stepOf(places[node]! + off);
  return steps;
}

/** A row where the grid lies. */
function alongPlaces(row: Float64Array, places: Float64Array): Float64Array {
  const found = floats(places.length);
  for (let node = 0; node < found.length; node++) found[node] = between(row, places[node]!);
  return found;
}

/** Each worked out once. */
export function keptBy<Made>(make: (number: number) => Made): (number: number) => Made {
  const known = new Map<number, Made>();
  return (number) => {
    const found = known.get(number) ?? make(number);
    known.set(number, found);
    return found;
  };
}
