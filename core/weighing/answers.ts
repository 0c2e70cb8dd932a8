import { pairSeen, type Watched } from '../code/index.ts';
import { keyOn, type HarnessWork, type MachineState, type Spot } from '../evidence/index.ts';
import { effectsOf, type Effect } from '../fault/index.ts';
import type { IsolatedSensor } from '../isolation/index.ts';
import { Rig } from '../rig/index.ts';
import { signalFromValue, valueAtNominal } from '../transfer/index.ts';
import { wiringFor } from '../wiring/index.ts';
import type { Hypothesis } from './hypotheses.ts';
import {
  rangesOf,
  sizedHypotheses,
  solvedSizes,
  type KnownBias,
  type SizedHypothesis,
  type SolvedSize,
} from './sizedHypotheses.ts';

/** Spots that the circuit answers for; a gauge is no part of it. What the unit watches is read by nobody but the unit. */
export type CircuitSpot = Exclude<Spot, { kind: 'gauge' }> | UnitSees;
export interface UnitSees {
  kind: 'unit-sees';
  what: Watched;
}

/** What the answers are laid out along: what the sensor measures, or the temperature of a thermistor in its body. */
export type Axis = 'quantity' | 'celsius';

/** Answers stand at so many signal voltages of a sound sensor; between them they are linear, so that rails need it fine. */
const QUANTITY_NODES = 17;
/** Where nothing bends, two ends and this one show it: not the middle, since both ends may bend alike. */
const PROVING_NODE = 5;
const QUARTERS = [0, 4, 8, 12, 16] as const;
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
];
const TOLD_APART_VOLTS = 0.04;
const MOST_STEPS = 16;
/** What a fault does to the quantity itself is looked at in as many steps. */
const QUANTITY_STEPS = 4;
/** Nearer than this to a straight line it is one: far below what any meter tells. */
const STRAIGHT_VOLTS = 5e-4;
/** Nearer than this to the curve of a loaded track, or to a rail, a line is as good: half of what circuits differ by. */
const BENT_VOLTS = 4e-3;
/** Of ohms nothing is near enough: they go over decades. */
const NO_VOLTS = 0;

/**
 * What an instrument would show at one spot in one state, along an axis: one row for each that differs, and which row
 * belongs to which sized hypothesis. Most faults change nothing at most spots.
 */
export interface AnswerTable {
  axis: Axis;
  rows: readonly Float64Array[];
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
  readonly #known = new Map<string, AnswerTable>();
  readonly #solvedKnown = new Map<string, readonly Float64Array[]>();

  /** @param restingValue what the sensor meets while nothing goes on, in the measurand's unit */
  constructor(sensor: IsolatedSensor, hypotheses: readonly Hypothesis[], restingValue: number) {
    this.#sensor = sensor;
    this.#restingValue = restingValue;
    this.#solvedSizes = solvedSizes(hypotheses, sensor.profile.bias);
    this.#ranges = rangesOf(this.#solvedSizes);
    // What happens to the quantity before the sensor is no matter of the circuit.
    this.#effects = this.#solvedSizes.map(({ fault }) =>
      fault ? effectsOf([fault]).filter(({ on }) => on !== 'quantity') : [],
    );
    const { profile } = sensor;
    const rigOn = (bias: KnownBias) => new Rig(wiringFor({ ...sensor, profile: { ...profile, bias } }));
    this.#rigs = { 'pull-up': rigOn('pull-up'), 'pull-down': rigOn('pull-down') };
    const [first, last] = [this.soundVolts(profile.lowest), this.soundVolts(profile.highest)];
    this.#nodeVolts = [first, last];
    this.#nodeValues = Array.from({ length: QUANTITY_NODES }, (_, i) =>
      valueAtNominal(first + ((last - first) * i) / (QUANTITY_NODES - 1), profile),
    );
    this.sized = sizedHypotheses(this.#solvedSizes, this.#stepsBy(TELLING_SPOTS));
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
    const rows: Float64Array[] = [];
    const numbers = new Map<string, number>();
    const ofRow = new Map<Float64Array, number>();
    const rowOf = new Int32Array(this.sized.length);
    this.sized.forEach(({ solvedBelow, solvedAbove, past }, s) => {
      const row = mixed(solved[solvedBelow]!, solved[solvedAbove]!, past);
      // Most share one and the same row; only others are compared by what they say.
      let number = ofRow.get(row);
      if (number === undefined) {
        const said = row.join(' ');
        number = numbers.get(said) ?? rows.push(row) - 1;
        numbers.set(said, number);
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
  #solvedRows(spot: CircuitSpot, state: MachineState, axis: Axis): readonly Float64Array[] {
    const key = keyOf(spot, state, axis);
    const known = this.#solvedKnown.get(key) ?? this.#solveRows(spot, state, axis);
    this.#solvedKnown.set(key, known);
    return known;
  }

  #solveRows(spot: CircuitSpot, state: MachineState, axis: Axis): Float64Array[] {
    const rows: Float64Array[] = [];
    let sound: Float64Array | undefined;
    const solve = (size: number): Float64Array => {
      const { fault, bias } = this.#solvedSizes[size]!;
      const effects = this.#effects[size]!;
      if (fault && effects.length === 0) return sound!;
      const row = this.#solved(spot, state, axis, bias, effects);
      return fault && isSame(row, sound!) ? sound! : row;
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
      .filter((spot) => spot.kind !== 'wire' || this.#sensor.wires.includes(spot.lane))
      .map((spot) => this.#solvedRows(spot, DRIVING, 'quantity'));
    return (size) => {
      const { fault } = this.#solvedSizes[size]!;
      if (fault && effectsOf([fault]).some(({ on }) => on === 'quantity')) return QUANTITY_STEPS;
      const farthest = Math.max(...seen.map((rows) => distance(rows[size]!, rows[size + 1]!)));
      return Math.min(MOST_STEPS, Math.max(1, Math.ceil(farthest / TOLD_APART_VOLTS)));
    };
  }

  #readOn(rig: Rig, spot: CircuitSpot, effects: readonly Effect[]): number {
    switch (spot.kind) {
      case 'wire':
        return rig.volts({ lane: spot.lane, place: spot.place }, 'battery-negative');
      case 'between':
        return rig.volts(spot.from, spot.to);
      case 'ohms':
        return rig.ohms(spot.from, spot.to);
      case 'scan':
        return convertedVolts(rig, 'signal', effects);
      case 'unit-sees':
        return this.#seenByUnit(rig, spot.what, effects);
    }
  }

  #seenByUnit(rig: Rig, what: Watched, effects: readonly Effect[]): number {
    switch (what) {
      case 'signal':
      case 'second-signal':
        return convertedVolts(rig, what, effects);
      case 'supply':
        return this.#worstRailVolts(rig);
      case 'pair':
        return pairSeen(
          convertedVolts(rig, 'signal', effects),
          convertedVolts(rig, 'second-signal', effects),
          this.#sensor.profile.nominalReferenceVolts,
          this.#sensor.companion,
        );
    }
  }

  #worstRailVolts(rig: Rig): number {
    const { nominalReferenceVolts } = this.#sensor.profile;
    const all = rig.wiring.spec.rails.map((_, rail) => rig.railVolts(rail));
    const off = (volts: number) => Math.abs(volts - nominalReferenceVolts);
    return all.reduce((worst, volts) => (off(volts) > off(worst) ? volts : worst), nominalReferenceVolts);
  }

  #solved(
    spot: CircuitSpot,
    state: MachineState,
    axis: Axis,
    bias: KnownBias,
    effects: readonly Effect[],
  ): Float64Array {
    const rig = this.#rigs[bias];
    const read = (trueValue: number, celsius: number): number => {
      const situation = {
        keyOn: keyOn(state),
        plugged: state.plug === 'connected',
        trueValue,
        restingValue: this.#restingValue,
        celsius,
      };
      rig.bring(this.#sensor, effects, situation, modelled(state.harness));
      return this.#readOn(rig, spot, effects);
    };
    const values = this.#nodeValues;
    // With its plug off the sensor says nothing, whatever it meets.
    const silent = state.plug === 'unplugged' && spot.kind !== 'ohms';
    if (axis === 'celsius') {
      const rest = values[QUARTERS[1]]!;
      return silent
        ? new Float64Array(CELSIUS_NODES.length).fill(rounded(read(rest, ROOM_CELSIUS)))
        : Float64Array.from(CELSIUS_NODES, (celsius) => rounded(read(rest, celsius)));
    }
    const row = new Float64Array(QUANTITY_NODES);
    if (silent) return row.fill(rounded(read(values[0]!, ROOM_CELSIUS)));
    const solve = (node: number): number => (row[node] = rounded(read(values[node]!, ROOM_CELSIUS)));
    const last = QUANTITY_NODES - 1;
    for (const node of [0, last, PROVING_NODE]) solve(node);
    if (isOnLine(row, 0, PROVING_NODE, last, STRAIGHT_VOLTS)) line(row, 0, last);
    else {
      for (const node of QUARTERS.slice(1, -1)) solve(node);
      const tolerance = spot.kind === 'ohms' ? NO_VOLTS : BENT_VOLTS;
      bendAtQuarters(row, solve, tolerance);
    }
    return row;
  }
}

/** Solves on in those quarters at whose ends the row bends: lines between the others are near enough. */
function bendAtQuarters(row: Float64Array, solve: (node: number) => number, tolerance: number): void {
  const bends = QUARTERS.map((node, q) =>
    q === 0 || q === QUARTERS.length - 1
      ? 0
      : Math.abs(row[QUARTERS[q - 1]!]! - 2 * row[node]! + row[QUARTERS[q + 1]!]!),
  );
  for (let q = 1; q < QUARTERS.length; q++) {
    const [from, to] = [QUARTERS[q - 1]!, QUARTERS[q]!];
    // What a line leaves out of a curve is an eighth of this.
    if (Math.max(bends[q - 1]!, bends[q]!) < 8 * tolerance) line(row, from, to);
    else bend(row, from, to, solve, tolerance);
  }
}

/** Solves between two nodes as long as what is found there is not on the line between them. */
function bend(
  row: Float64Array,
  from: number,
  to: number,
  solve: (node: number) => number,
  tolerance: number,
): void {
  if (to - from <= 1) return;
  const middle = (from + to) >> 1;
  solve(middle);
  if (isOnLine(row, from, middle, to, tolerance)) line(row, from, to);
  else {
    bend(row, from, middle, solve, tolerance);
    bend(row, middle, to, solve, tolerance);
  }
}

const onLine = (row: Float64Array, from: number, node: number, to: number): number =>
  row[from]! + ((row[to]! - row[from]!) * (node - from)) / (to - from);

const isOnLine = (row: Float64Array, from: number, node: number, to: number, tolerance: number): boolean =>
  row[from] === row[to]
    ? row[node] === row[from]
    : Math.abs(row[node]! - onLine(row, from, node, to)) < tolerance;

function line(row: Float64Array, from: number, to: number): void {
  if (row[from] === row[to]) row.fill(row[from]!, from, to + 1);
  else for (let node = from + 1; node < to; node++) row[node] = onLine(row, from, node, to);
}

/** What the unit's converter makes of an input. */
function convertedVolts(rig: Rig, lane: 'signal' | 'second-signal', effects: readonly Effect[]): number {
  const stuck = effects.find((effect) => effect.on === 'converter' && effect.wire === lane);
  if (stuck?.on === 'converter') return stuck.reads;
  const volts = rig.inputVolts(lane);
  // Where nothing holds an input it is taken for nothing.
  return Number.isNaN(volts) ? 0 : volts;
}

/** The model has one neighbour on the rail, which stands for all of them: whichever is unplugged, it is that one. */
const modelled = (harness: HarnessWork | undefined): HarnessWork | undefined =>
  harness && { ...harness, neighboursOff: harness.neighboursOff.length > 0 ? [0] : [] };

const keyOf = (spot: CircuitSpot, state: MachineState, axis: Axis): string =>
  JSON.stringify([spot.kind, pointsOf(spot), state.engine === 'key-off', state.plug, state.harness, axis]);

function pointsOf(spot: CircuitSpot): unknown[] {
  if (spot.kind === 'wire') return [spot.lane, spot.place];
  if (spot.kind === 'scan') return [];
  return spot.kind === 'unit-sees' ? [spot.what] : [spot.from, spot.to];
}

/** The farthest apart that two rows are anywhere. */
const distance = (a: Float64Array, b: Float64Array): number =>
  a.reduce((most, reads, node) => Math.max(most, Math.abs(reads - b[node]!)), 0);

/** Between two sizes: ohms by their logarithm, volts on a line. */
const mixed = (below: Float64Array, above: Float64Array, past: number): Float64Array =>
  below === above
    ? below
    : below.map((reads, node) => {
        const other = above[node]!;
        if (reads === other) return reads;
        if (reads === Infinity || other === Infinity) return past < 0.5 ? reads : other;
        return rounded(reads + past * (other - reads));
      });

function isSame(a: Float64Array, b: Float64Array): boolean {
  if (a === b) return true;
  for (let node = 0; node < a.length; node++) if (a[node] !== b[node]) return false;
  return true;
}

/** To a tenth of a millivolt: what differs by less is one answer. */
const rounded = (reads: number): number => (Math.abs(reads) < 100 ? Math.round(reads * 1e4) / 1e4 : reads);

/** A row read between its nodes. */
export function between(row: Float64Array, place: number): number {
  const node = Math.min(row.length - 2, Math.floor(place));
  const before = row[node]!;
  const after = row[node + 1]!;
  if (before === after) return before;
  const past = place - node;
  // Between OL and a resistance there is no middle.
  if (before === Infinity || after === Infinity) return past < 0.5 ? before : after;
  return before + past * (after - before);
}
