import { keyOn, type MachineState, type Spot } from '../evidence/index.ts';
import { effectsOf, type Effect } from '../fault/index.ts';
import type { IsolatedSensor } from '../isolation/index.ts';
import { Rig } from '../rig/index.ts';
import { signalFromValue, valueAtNominal } from '../transfer/index.ts';
import { wiringFor } from '../wiring/index.ts';
import type { Hypothesis } from './hypotheses.ts';

/** At so many signal voltages of a sound sensor the circuit is solved; between them it is linear, but for its rails. */
const NODES = 5;
const ROOM_CELSIUS = 20;

/** What a meter would show at one spot in one state: by hypothesis, for each of its sizes at each node. */
export type AnswerTable = readonly Float64Array[];

/** Spots that the circuit answers for; a gauge is no part of it. */
export type CircuitSpot = Exclude<Spot, { kind: 'gauge' }>;

/** Predictions of the circuit of one sensor, each worked out once: what was asked before costs nothing. */
export class Answers {
  readonly #hypotheses: readonly Hypothesis[];
  readonly #sensor: IsolatedSensor;
  readonly #restingValue: number;
  readonly #rig: Rig;
  readonly #nodeVolts: readonly [first: number, last: number];
  readonly #nodeValues: readonly number[];
  readonly #known = new Map<string, AnswerTable>();

  /** @param restingValue what the sensor meets while nothing goes on, in the measurand's unit */
  constructor(sensor: IsolatedSensor, hypotheses: readonly Hypothesis[], restingValue: number) {
    this.#sensor = sensor;
    this.#hypotheses = hypotheses;
    this.#restingValue = restingValue;
    this.#rig = new Rig(wiringFor(sensor));
    const { profile } = sensor;
    const [first, last] = [this.soundVolts(profile.lowest), this.soundVolts(profile.highest)];
    this.#nodeVolts = [first, last];
    this.#nodeValues = Array.from({ length: NODES }, (_, i) =>
      valueAtNominal(first + ((last - first) * i) / (NODES - 1), profile),
    );
  }

  /** Of a sound sensor in a sound circuit, in volts. */
  soundVolts(value: number): number {
    const { profile } = this.#sensor;
    return signalFromValue(value, profile.nominalReferenceVolts, profile).signalVolts;
  }

  at(spot: CircuitSpot, state: MachineState): AnswerTable {
    const key = JSON.stringify([spot, state.engine === 'key-off', state.plug, state.harness]);
    const known = this.#known.get(key);
    if (known) return known;
    const sound = this.#solved(spot, state, []);
    const table = this.#hypotheses.map(({ sizes }) => {
      const all = new Float64Array(sizes.length * NODES);
      sizes.forEach((fault, size) => {
        // What happens to the quantity before the sensor is no matter of the circuit.
        const effects = fault ? effectsOf([fault]).filter(({ on }) => on !== 'quantity') : [];
        all.set(effects.length > 0 ? this.#solved(spot, state, effects) : sound, size * NODES);
      });
      return all;
    });
    this.#known.set(key, table);
    return table;
  }

  /** Where a sound signal stands among the nodes: the one before it, and how far it is past that. */
  placeOf(soundVolts: number): number {
    const [first, last] = this.#nodeVolts;
    return Math.min(NODES - 1, Math.max(0, ((soundVolts - first) / (last - first)) * (NODES - 1)));
  }

  static sizes(table: Float64Array): number {
    return table.length / NODES;
  }

  static between(table: Float64Array, size: number, place: number): number {
    const node = Math.min(NODES - 2, Math.floor(place));
    const at = size * NODES + node;
    const [before, after] = [table[at]!, table[at + 1]!];
    return before === after ? before : before + (place - node) * (after - before);
  }

  #solved(spot: CircuitSpot, state: MachineState, effects: readonly Effect[]): number[] {
    const read = (trueValue: number): number => {
      const situation = {
        keyOn: keyOn(state),
        plugged: state.plug === 'connected',
        trueValue,
        restingValue: this.#restingValue,
        celsius: ROOM_CELSIUS,
      };
      this.#rig.bring(this.#sensor, effects, situation, state.harness);
      return this.#read(spot, effects);
    };
    // With its plug off the sensor says nothing, whatever it meets.
    const [first = 0] = this.#nodeValues;
    if (state.plug === 'unplugged' && spot.kind !== 'ohms') return new Array<number>(NODES).fill(read(first));
    return this.#nodeValues.map(read);
  }

  #read(spot: CircuitSpot, effects: readonly Effect[]): number {
    switch (spot.kind) {
      case 'wire':
        return this.#rig.volts({ lane: spot.lane, place: spot.place }, 'battery-negative');
      case 'between':
        return this.#rig.volts(spot.from, spot.to);
      case 'ohms':
        return this.#rig.ohms(spot.from, spot.to);
      case 'scan': {
        const stuck = effects.find((effect) => effect.on === 'converter' && effect.wire === 'signal');
        return stuck?.on === 'converter' ? stuck.reads : this.#rig.inputVolts('signal');
      }
    }
  }
}
