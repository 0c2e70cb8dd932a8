import { pairSeen, type Watched } from '../code/index.ts';
import { keyOn, type HarnessWork, type MachineState, type Spot } from '../evidence/index.ts';
import { effectsOf, type Effect } from '../fault/index.ts';
import type { IsolatedSensor } from '../isolation/index.ts';
import { Rig } from '../rig/index.ts';
import { signalFromValue, valueAtNominal } from '../transfer/index.ts';
import { wiringFor } from '../wiring/index.ts';
import type { Hypothesis } from './hypotheses.ts';
import {
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

/** At so many signal voltages of a sound sensor the circuit is solved; between them it is linear, but for its rails. */
const QUANTITY_NODES = 5;
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
  readonly #effects: readonly (readonly Effect[])[];
  readonly #known = new Map<string, AnswerTable>();

  /** @param restingValue what the sensor meets while nothing goes on, in the measurand's unit */
  constructor(sensor: IsolatedSensor, hypotheses: readonly Hypothesis[], restingValue: number) {
    this.#sensor = sensor;
    this.#restingValue = restingValue;
    this.#solvedSizes = solvedSizes(hypotheses, sensor.profile.bias);
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
    const rowOf = new Int32Array(this.sized.length);
    this.sized.forEach(({ solvedBelow, solvedAbove, past }, s) => {
      const row = mixed(solved[solvedBelow]!, solved[solvedAbove]!, past);
      const name = row.join(' ');
      const before = numbers.get(name);
      rowOf[s] = before ?? rows.push(row) - 1;
      numbers.set(name, rowOf[s]);
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
  #solvedRows(spot: CircuitSpot, state: MachineState, axis: Axis): Float64Array[] {
    const rows: Float64Array[] = [];
    let sound: Float64Array | undefined;
    this.#solvedSizes.forEach(({ fault, bias }, size) => {
      const effects = this.#effects[size]!;
      const row = fault && effects.length === 0 ? sound! : this.#solved(spot, state, axis, bias, effects);
      if (!fault) sound = row;
      rows.push(row);
    });
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
      const rest = values[1]!;
      return silent
        ? new Float64Array(CELSIUS_NODES.length).fill(rounded(read(rest, ROOM_CELSIUS)))
        : Float64Array.from(CELSIUS_NODES, (celsius) => rounded(read(rest, celsius)));
    }
    const row = new Float64Array(QUANTITY_NODES);
    if (silent) return row.fill(rounded(read(values[0]!, ROOM_CELSIUS)));
    const last = QUANTITY_NODES - 1;
    for (const node of [0, last, 1]) row[node] = rounded(read(values[node]!, ROOM_CELSIUS));
    // Ends and a point between them on one line: a rail would have bent it.
    const straight = Math.abs(row[1]! - row[0]! - (row[last]! - row[0]!) / last) < STRAIGHT_VOLTS;
    for (let node = 2; node < last; node++)
      row[node] = straight
        ? row[0]! + ((row[last]! - row[0]!) * node) / last
        : rounded(read(values[node]!, ROOM_CELSIUS));
    return row;
  }
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
  below.map((reads, node) => {
    const other = above[node]!;
    if (reads === other) return reads;
    if (reads === Infinity || other === Infinity) return past < 0.5 ? reads : other;
    return rounded(reads + past * (other - reads));
  });

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
