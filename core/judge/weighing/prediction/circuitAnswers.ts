import {
  isOnSensor,
  isPulses,
  keyOn,
  type HarnessWork,
  type MachineState,
  type Place,
} from '../../../machine/places/index.ts';
import { effectsOf, elementDrive, isOnTheWay, type Effect } from '../../../machine/fault/index.ts';
import { UP_SHARE } from '../../../machine/limits/index.ts';
import type { IsolatedSensor } from '../../isolation/index.ts';
import { Rig } from '../../../machine/rig/index.ts';
import { signalFromValue, valueAtNominal, type SentIn } from '../../../measure/transfer/index.ts';
import { wiringFor, type WiringSpec } from '../../../machine/wiring/index.ts';
import type { Hypothesis } from '../hypotheses/hypothesis.ts';
import { borrowedSizes } from '../hypotheses/borrowedSizes.ts';
import { UNLISTED_VOLTS } from '../hypotheses/unlisted.ts';
import { readOn, type CircuitSpot } from './circuitSpot.ts';
import { ANY_SHARE, averageOf, isReceived, isToggling, upFor, usualUpShare } from './sentLine.ts';
import { distance, hashOf, isAlike, isSame, mixed, NO_TOLERANCE, rounded, type Row } from './rows.ts';
import { BENT_VOLTS, fillRow, QUANTITY_NODES, REST_NODE } from './fillRow.ts';
import { differenceAt, type MakersDifference } from './makersDifference.ts';
import {
  rangesOf,
  sizedHypotheses,
  solvedSizes,
  type KnownBias,
  type SizedHypothesis,
  type SolvedSize,
} from '../hypotheses/sizedHypotheses.ts';

/** What the answers are laid out along: what the sensor measures, or the temperature of a thermistor in its body. */
export type Axis = 'quantity' | 'celsius';

/** Temperatures at which a thermistor is looked at: air and engine bay, from frost to heat. */
export const CELSIUS_NODES: readonly number[] = [-20, 0, 10, 20, 30, 45, 65, 90, 120];
const ROOM_CELSIUS = 20;
const DRIVING: MachineState = { engine: 'koeo', plug: 'connected' };
/** Where the size of a fault shows most. */
const TELLING_SPOTS: readonly CircuitSpot[] = [
  { kind: 'scan' },
  { kind: 'wire', lane: 'reference', place: 'plug' },
  { kind: 'wire', lane: 'return', place: 'plug' },
  { kind: 'wire', lane: 'signal', place: 'plug' },
  { kind: 'wire', lane: 'second-signal', place: 'plug' },
  { kind: 'live-volts', lane: 'second-signal' },
];
const TOLD_APART_VOLTS = 0.1;
const MOST_STEPS = 8;
/** What a fault does to the quantity itself is looked at in as many steps. */
const QUANTITY_STEPS = 4;

/**
 * What an instrument would show at one spot in one state, along an axis: one row for each that differs, and which row
 * belongs to which sized hypothesis. Most faults change nothing at most spots.
 */
export interface AnswerTable {
  axis: Axis;
  rows: readonly Row[];
  rowOf: Int32Array;
}

/** Predictions of the circuit of one sensor, each worked out once: what was asked before costs nothing. */
export class Answers {
  readonly sized: readonly SizedHypothesis[];
  readonly #sensor: IsolatedSensor;
  readonly #restingValue: number;
  readonly #rigs: Readonly<Record<KnownBias, Rig>>;
  readonly #nodeVolts: readonly [first: number, last: number];
  readonly #nodeValues: readonly number[];
  /** Of the solved sizes: what they do to the circuit. */
  readonly #solvedSizes: readonly SolvedSize[];
  readonly #ranges: readonly { first: number; last: number }[];
  readonly #effects: readonly (readonly Effect[])[];
  /** What its line goes to and fro with, where what it says is no voltage. */
  readonly #sends: SentIn | undefined;
  readonly #known = new Map<string, AnswerTable>();
  readonly #solvedKnown = new Map<string, readonly Row[]>();

  /** @param restingValue what the sensor meets while nothing goes on, in the measurand's unit */
  constructor(sensor: IsolatedSensor, hypotheses: readonly Hypothesis[], restingValue: number) {
    this.#sensor = sensor;
    this.#restingValue = restingValue;
    this.#solvedSizes = solvedSizes(hypotheses, sensor.profile.bias);
    this.#ranges = rangesOf(this.#solvedSizes);
    // What happens to the quantity before the sensor gives a voltage is no matter of the circuit.
    this.#effects = this.#solvedSizes.map(({ fault }) =>
      fault ? effectsOf([fault]).filter((effect) => !isOnTheWay(effect)) : [],
    );
    const { profile } = sensor;
    const rigOn = (bias: KnownBias) =>
      new Rig(asOftenMet(wiringFor({ ...sensor, profile: { ...profile, bias } })));
    this.#rigs = { 'pull-up': rigOn('pull-up'), 'pull-down': rigOn('pull-down') };
    const model = this.#rigs['pull-up'].wiring.spec.sensor;
    this.#sends = model.kind === 'stage' ? model.sends : undefined;
    const [first, last] = [this.soundVolts(profile.lowest), this.soundVolts(profile.highest)];
    this.#nodeVolts = [first, last];
    this.#nodeValues = Array.from({ length: QUANTITY_NODES }, (_, i) =>
      valueAtNominal(first + ((last - first) * i) / (QUANTITY_NODES - 1), profile),
    );
    const listed = sizedHypotheses(this.#solvedSizes, this.#stepsBy(TELLING_SPOTS));
    this.sized = [...listed, ...borrowedSizes(hypotheses, listed)];
  }

  /** Of a sound sensor in a sound circuit, in volts. */
  soundVolts(value: number): number {
    const { profile } = this.#sensor;
    return signalFromValue(value, profile.nominalReferenceVolts, profile).signalVolts;
  }

  at(spot: CircuitSpot, state: MachineState, axis: Axis = 'quantity'): AnswerTable {
    const key = keyOf(spot, state, axis);
    const known = this.#known.get(key);
    if (known) return known;
    const solved = this.#solvedRows(spot, state, axis);
    const rows: Row[] = [];
    const numbers = new Map<number, number[]>();
    const ofRow = new Map<Row, number>();
    const rowOf = new Int32Array(this.sized.length);
    const anything = new Map<Row, Row>();
    this.sized.forEach(({ solvedBelow, solvedAbove, past, isAnything }, s) => {
      // Between a line that is read and one that is not, nothing lies.
      let row =
        this.#sends && isSaidOrNot(spot)
          ? solved[past < 0.5 ? solvedBelow : solvedAbove]!
          : mixed(solved[solvedBelow]!, solved[solvedAbove]!, past);
      if (isAnything) {
        const wide = anything.get(row) ?? { ...row, doubt: row.reads.map(() => UNLISTED_VOLTS) };
        anything.set(row, wide);
        row = wide;
      }
      // Most share one and the same row; only others are compared by what they say.
      let number = ofRow.get(row);
      if (number === undefined) {
        const hash = hashOf(row);
        const similar = numbers.get(hash) ?? [];
        numbers.set(hash, similar);
        number = similar.find((one) => isSame(rows[one]!, row));
        if (number === undefined) similar.push((number = rows.push(row) - 1));
        ofRow.set(row, number);
      }
      rowOf[s] = number;
    });
    const table = { axis, rows, rowOf };
    this.#known.set(key, table);
    return table;
  }

  /** Where a sound signal stands among the nodes: the one before it, and how far it is past that. */
  placeOf(soundVolts: number): number {
    const [first, last] = this.#nodeVolts;
    return Math.min(
      QUANTITY_NODES - 1,
      Math.max(0, ((soundVolts - first) / (last - first)) * (QUANTITY_NODES - 1)),
    );
  }

  /** What an instrument would show for each solved size; whatever has no effect on the circuit answers as if nothing were wrong. */
  #solvedRows(spot: CircuitSpot, state: MachineState, axis: Axis): readonly Row[] {
    const key = keyOf(spot, state, axis);
    const known = this.#solvedKnown.get(key) ?? this.#solveRows(spot, state, axis);
    this.#solvedKnown.set(key, known);
    return known;
  }

  #solveRows(spot: CircuitSpot, state: MachineState, axis: Axis): Row[] {
    const rows: Row[] = [];
    let sound: Row | undefined;
    const solve = (size: number): Row => {
      const { fault, bias } = this.#solvedSizes[size]!;
      const effects = this.#effects[size]!;
      if (fault && effects.length === 0) return sound!;
      return this.#solved(spot, state, axis, bias, effects, fault && sound);
    };
    // Most faults change nothing at most spots, in no size: where ends and middle answer alike, so does all between.
    const fill = (first: number, last: number): void => {
      if (last - first <= 1) return;
      const middle = (first + last) >> 1;
      const row = (rows[middle] = solve(middle));
      if (isSame(rows[first]!, row) && isSame(row, rows[last]!)) rows.fill(row, first, last + 1);
      else {
        fill(first, middle);
        fill(middle, last);
      }
    };
    for (const { first, last } of this.#ranges) {
      rows.length = last + 1;
      rows[first] = solve(first);
      if (!this.#solvedSizes[first]!.fault) sound = rows[first];
      if (last > first) rows[last] = solve(last);
      fill(first, last);
    }
    return rows;
  }

  /** So many sizes between two solved ones that a meter hardly tells one from the next. */
  #stepsBy(spots: readonly CircuitSpot[]): (solvedSize: number) => number {
    const seen = spots
      .filter((spot) => !('lane' in spot) || this.#sensor.wires.includes(spot.lane))
      .map((spot) => this.#solvedRows(spot, DRIVING, 'quantity'));
    return (size) => {
      const { fault } = this.#solvedSizes[size]!;
      if (fault && effectsOf([fault]).some(isOnTheWay)) return QUANTITY_STEPS;
      const farthest = Math.max(...seen.map((rows) => distance(rows[size]!, rows[size + 1]!)));
      return Math.min(MOST_STEPS, Math.max(1, Math.ceil(farthest / TOLD_APART_VOLTS)));
    };
  }

  #solved(
    spot: CircuitSpot,
    state: MachineState,
    axis: Axis,
    bias: KnownBias,
    effects: readonly Effect[],
    sound: Row | undefined,
  ): Row {
    const rig = this.#rigs[bias];
    const bring = (trueValue: number, celsius: number, all = effects): void => {
      const situation = {
        keyOn: keyOn(state),
        plugged: state.plug === 'connected',
        trueValue,
        restingValue: this.#restingValue,
        celsius,
      };
      rig.bring(this.#sensor, all, situation, modelled(state.harness));
    };
    if (this.#sends && axis === 'quantity')
      return this.#solvedOfSender(this.#sends, rig, spot, effects, sound, bring);
    const read = (trueValue: number, celsius: number): number => {
      bring(trueValue, celsius);
      return readOn(rig, spot, effects, this.#sensor);
    };
    const differs = (trueValue: number, celsius: number, reads: number): MakersDifference =>
      differenceAt(rig, () => bring(trueValue, celsius), reads, spot, effects, this.#sensor);
    const values = this.#nodeValues;
    // With its plug off the sensor says nothing, whatever it meets, unless it is fed past it.
    const silent = state.plug === 'unplugged' && spot.kind !== 'ohms' && !isOnSensor(state.harness);
    if (axis === 'celsius' || silent) {
      const nodes = axis === 'celsius' ? CELSIUS_NODES.length : QUANTITY_NODES;
      const value = axis === 'celsius' ? values[REST_NODE]! : values[0]!;
      if (!silent) {
        const reads = Float64Array.from(CELSIUS_NODES, (celsius) => rounded(read(value, celsius)));
        return sound && isAlike(reads, sound.reads) ? sound : { reads };
      }
      const reads = rounded(read(value, ROOM_CELSIUS));
      if (sound?.reads[0] === reads) return sound;
      return withDifferences(new Float64Array(nodes).fill(reads), [differs(value, ROOM_CELSIUS, reads)]);
    }
    const row = new Float64Array(QUANTITY_NODES);
    fillRow(
      row,
      (node) => rounded(read(values[node]!, ROOM_CELSIUS)),
      spot.kind === 'ohms' ? NO_TOLERANCE : BENT_VOLTS,
    );
    // What a fault does not move is as much in doubt as without it.
    if (sound && isAlike(row, sound.reads)) return sound;
    return withDifferences(
      row,
      DOUBTED_NODES.map((node) => differs(values[node]!, ROOM_CELSIUS, row[node]!)),
    );
  }

  /** What a sender puts into what it sends, in the volts that its curve is laid out in. */
  #sentVolts(trueValue: number, effects: readonly Effect[]): number {
    const situation = { trueValue, restingValue: this.#restingValue, celsius: ROOM_CELSIUS };
    const { spec } = this.#rigs['pull-up'].wiring;
    const { share, offsetVolts } = elementDrive(spec, this.#sensor, effects, situation);
    return share * this.#sensor.profile.nominalReferenceVolts + offsetVolts;
  }

  /** Of a sender: a meter shows the average of its line, and live data the value or nothing. */
  #solvedOfSender(
    sends: SentIn,
    rig: Rig,
    spot: CircuitSpot,
    effects: readonly Effect[],
    sound: Row | undefined,
    bring: (trueValue: number, celsius: number, all?: readonly Effect[]) => void,
  ): Row {
    const values = this.#nodeValues;
    const at = (highShare: number): void =>
      bring(values[REST_NODE]!, ROOM_CELSIUS, [...effects, upFor(highShare)]);
    const isOther = effects.some((effect) => effect.on === 'element' && effect.does === 'other-output');
    const voltsWhile = (volts: () => number) => (highShare: number) => {
      at(highShare);
      return volts();
    };
    if (spot.kind === 'scan') {
      const isStuck = effects.some((effect) => effect.on === 'converter' && effect.wire === 'signal');
      const arrive = !isStuck && !isOther && isReceived(voltsWhile(() => rig.inputVolts('signal')));
      const reads = Float64Array.from(values, (value) =>
        arrive ? rounded(this.#sentVolts(value, effects)) : 0,
      );
      return sound && isAlike(reads, sound.reads) ? sound : { reads };
    }
    const togglesAt = (place: Place): boolean =>
      isToggling(voltsWhile(() => rig.volts({ lane: 'signal', place }, 'battery-negative')));
    if (spot.kind === 'telegrams') {
      const arrive = !isOther && togglesAt('plug');
      const reads = new Float64Array(QUANTITY_NODES).fill(arrive ? 1 : 0);
      return sound && isAlike(reads, sound.reads) ? sound : { reads };
    }
    if (isPulses(spot)) {
      const arrive = !isOther && togglesAt(spot.place);
      const reads = Float64Array.from(values, (value) =>
        arrive ? rounded(this.#sentVolts(value, effects)) : 0,
      );
      // A part of another output mostly says nothing that a counter finds, and else anything.
      if (isOther) return { reads, doubt: reads.map(() => UNLISTED_VOLTS) };
      return sound && isAlike(reads, sound.reads) ? sound : { reads };
    }
    const { middle, half } = averageOf(
      isOther ? ANY_SHARE : UP_SHARE[sends],
      voltsWhile(() => readOn(rig, spot, effects, this.#sensor)),
    );
    const reads = rounded(middle);
    if (!isOther && sound?.reads[0] === reads) return sound;
    const usual = usualUpShare(sends);
    const { doubt, ...others } = differenceAt(
      rig,
      () => at(usual),
      reads,
      spot,
      [...effects, upFor(usual)],
      this.#sensor,
    );
    return withDifferences(new Float64Array(QUANTITY_NODES).fill(reads), [
      { ...others, doubt: Math.hypot(doubt, OF_HALF * half) },
    ]);
  }
}

/** A sender may hold its line up for longer or shorter: seldom as far as either end. */
const OF_HALF = 0.6;

/** A hot element takes anything from 50 mA to an ampere: makers are looked for to both sides of what lies in the middle. */
const OFTEN_MET_HEATER_OHMS = 36;

const asOftenMet = (wiring: WiringSpec): WiringSpec =>
  wiring.sensor.kind === 'stage' && wiring.sensor.feed === 'battery-feed'
    ? { ...wiring, sensor: { ...wiring.sensor, supplyOhms: OFTEN_MET_HEATER_OHMS } }
    : wiring;

const DOUBTED_NODES = [0, QUANTITY_NODES - 1] as const;
/** Less than this is within what circuits differ by anyway. */
const LEAST_DOUBT_VOLTS = 0.004;
const LEAST_FOLLOWED = 0.01;

/** @param differences at equal distances along the row, or one for all of it */
function withDifferences(reads: Float64Array, differences: readonly MakersDifference[]): Row {
  const doubts = differences.map(({ doubt }) => doubt);
  const followed = differences.map(({ follows }) => follows);
  const pulled = differences.map(({ pulls }) => pulls);
  const isMore = (given: readonly number[], least: number) => given.some((one) => Math.abs(one) >= least);
  return {
    reads,
    ...(isMore(doubts, LEAST_DOUBT_VOLTS) && { doubt: alongRow(reads, doubts) }),
    ...(isMore(followed, LEAST_FOLLOWED) && { follows: alongRow(reads, followed) }),
    ...(isMore(pulled, LEAST_DOUBT_VOLTS) && { pulls: alongRow(reads, pulled) }),
  };
}

function alongRow(reads: Float64Array, given: readonly number[]): Float64Array {
  const step = given.length > 1 ? (reads.length - 1) / (given.length - 1) : Infinity;
  return Float64Array.from(reads, (_, node) => {
    const before = Math.min(Math.max(0, given.length - 2), Math.floor(node / step));
    const past = given.length > 1 ? node / step - before : 0;
    return rounded(given[before]! + past * ((given[before + 1] ?? given[before]!) - given[before]!));
  });
}

/** The model has one neighbour on the rail, which stands for all of them: whichever is unplugged, it is that one. */
const modelled = (harness: HarnessWork | undefined): HarnessWork | undefined =>
  harness && { ...harness, neighboursOff: harness.neighboursOff.length > 0 ? [0] : [] };

const keyOf = (spot: CircuitSpot, state: MachineState, axis: Axis): string =>
  JSON.stringify([spot.kind, pointsOf(spot), state.engine === 'key-off', state.plug, state.harness, axis]);

/** Of what is sent: what it says arrives, or nothing does. */
const isSaidOrNot = (spot: CircuitSpot): boolean =>
  spot.kind === 'scan' || spot.kind === 'telegrams' || isPulses(spot);

function pointsOf(spot: CircuitSpot): unknown[] {
  if (spot.kind === 'wire' || isPulses(spot)) return [spot.lane, spot.place];
  if (spot.kind === 'scan' || spot.kind === 'telegrams') return [];
  if (spot.kind === 'live-volts') return [spot.lane];
  return spot.kind === 'unit-sees' ? [spot.what] : [spot.from, spot.to];
}
