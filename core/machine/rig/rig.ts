import { source, type ConductorId, type ResistorId } from '../circuit/index.ts';
import {
  NO_HARNESS_WORK,
  type Attachment,
  type HarnessWork,
  type Lane,
  type ProbePoint,
} from '../places/index.ts';
import { situate, type Effect, type SensorElement, type Situation } from '../fault/index.ts';
import {
  BATTERY_NEGATIVE,
  BATTERY_POSITIVE,
  JUMPER_OHMS,
  METER_OHMS,
  SOURCE_OHMS,
  UNIT_GROUND,
  Wiring,
  type WiringSpec,
} from '../wiring/index.ts';
import { ohmsShown, TEST_VOLTS } from './ohmmeter.ts';

/** 12 V, 3 W, taken as its warm filament. */
const LAMP_OHMS = 48;
const JUMPERS = 3;
/** Of these there is one: a second would have to take the first one's place. */
const ONE_EACH = ['voltage-source', 'test-light', 'meter'] as const;

const NO_TEST = source(0, 1e12);
/** More than this between two points before the meter drives its own current, and the circuit is live. */
const LIVE_VOLTS = 0.05;
/** What an ohmmeter means on a live circuit: nothing. No resistance, and no number to reckon with. */
export const LIVE_CIRCUIT = -Infinity;

/** A wiring with clips and meters on it: everything that is read comes out of one network. */
export class Rig {
  readonly wiring: Wiring;
  readonly #meter: ResistorId;
  readonly #otherMeter: ResistorId;
  readonly #jumpers: ResistorId[];
  readonly #lamp: ResistorId;
  readonly #sourceLead: ResistorId;
  readonly #source: ConductorId;
  readonly #sourceNode: number;
  readonly #testPlus: number;
  readonly #testMinus: number;
  readonly #test: ConductorId;
  readonly #testLeads: readonly [ResistorId, ResistorId];
  /** All that can be left attached. */
  readonly #clips: readonly ResistorId[];

  constructor(spec: WiringSpec) {
    this.wiring = new Wiring(spec, 3);
    const { network, firstSpareNode } = this.wiring;
    this.#sourceNode = firstSpareNode;
    this.#testPlus = firstSpareNode + 1;
    this.#testMinus = firstSpareNode + 2;
    const lifted = () => network.addResistor(BATTERY_NEGATIVE, BATTERY_NEGATIVE, Infinity);
    this.#meter = lifted();
    this.#otherMeter = lifted();
    this.#jumpers = Array.from({ length: JUMPERS }, lifted);
    this.#lamp = lifted();
    this.#sourceLead = lifted();
    this.#source = network.addConductor(this.#sourceNode, BATTERY_NEGATIVE, source(0, SOURCE_OHMS));
    this.#test = network.addConductor(this.#testPlus, this.#testMinus, NO_TEST);
    this.#testLeads = [lifted(), lifted()];
    this.#clips = [...this.#jumpers, this.#otherMeter, this.#lamp, this.#sourceLead];
  }

  nodeOf(point: ProbePoint): number {
    if (point === 'battery-negative') return BATTERY_NEGATIVE;
    return point === 'battery-positive' ? BATTERY_POSITIVE : this.wiring.node(point.lane, point.place);
  }

  /** Brings it into a situation, with all that is wrong and all that is done to the harness. */
  bring(
    element: SensorElement,
    effects: readonly Effect[],
    situation: Situation,
    { attachments, neighboursOff }: HarnessWork = NO_HARNESS_WORK,
  ): void {
    situate(this.wiring, element, effects, situation);
    for (const neighbour of neighboursOff) this.wiring.setOhms(`neighbour:${neighbour}`, Infinity);
    this.#attach(attachments);
  }

  /** Lifts whatever is attached and clips on what is given. */
  #attach(attachments: readonly Attachment[]): void {
    const { network } = this.wiring;
    for (const part of this.#clips) network.setOhms(part, Infinity);
    if (attachments.length === 0) return;
    let jumper = 0;
    for (const kind of ONE_EACH)
      if (attachments.filter((one) => one.kind === kind).length > 1)
        throw new Error(`There is one ${kind} to clip on, and no second one.`);
    for (const attachment of attachments) {
      if (attachment.kind === 'voltage-source') {
        network.setConductor(this.#source, source(attachment.volts, SOURCE_OHMS));
        this.#clip(this.#sourceLead, this.#sourceNode, this.nodeOf(attachment.at), 0);
        continue;
      }
      if (attachment.kind === 'meter') {
        this.#clip(this.#otherMeter, this.nodeOf(attachment.from), this.nodeOf(attachment.to), METER_OHMS);
        continue;
      }
      const part = attachment.kind === 'jumper' ? this.#jumpers[jumper++] : this.#lamp;
      if (part === undefined) throw new Error(`There are ${JUMPERS} jumper wires.`);
      const ohms = attachment.kind === 'jumper' ? JUMPER_OHMS : LAMP_OHMS;
      this.#clip(part, this.nodeOf(attachment.from), this.nodeOf(attachment.to), ohms);
    }
  }

  /** Volts on a meter of 10 MΩ between two points. */
  volts(red: ProbePoint, black: ProbePoint): number {
    const { network } = this.wiring;
    this.#clip(this.#meter, this.nodeOf(red), this.nodeOf(black), METER_OHMS);
    try {
      this.#solve();
      // The meter ties whatever floats, so there is always an answer.
      return network.voltsBetween(this.nodeOf(red), this.nodeOf(black));
    } finally {
      network.setOhms(this.#meter, Infinity);
    }
  }

  /**
   * What an ohmmeter makes of two points: it knows only its own test current, so that any other current gives nonsense.
   *
   * @returns ohms, never less than none; Infinity for OL, `LIVE_CIRCUIT` where something else drives the two points
   */
  ohms(red: ProbePoint, black: ProbePoint): number {
    if (Math.abs(this.volts(red, black)) > LIVE_VOLTS) return LIVE_CIRCUIT;
    const { network } = this.wiring;
    const [plus, minus] = this.#testLeads;
    this.#clip(plus, this.#testPlus, this.nodeOf(red), 0);
    this.#clip(minus, this.#testMinus, this.nodeOf(black), 0);
    try {
      return ohmsShown((range) => {
        network.setConductor(this.#test, source(TEST_VOLTS, range));
        this.#solve();
        return network.voltsBetween(this.#testPlus, this.#testMinus);
      });
    } finally {
      network.setConductor(this.#test, NO_TEST);
      network.setOhms(plus, Infinity);
      network.setOhms(minus, Infinity);
    }
  }

  /** Through the test light, in amperes. */
  lampAmps(): number {
    this.#solve();
    return Math.abs(this.wiring.network.ampsThrough(this.#lamp));
  }

  /** What the unit's converter sees of an input, with no meter attached. */
  inputVolts(wire: Lane): number {
    this.#solve();
    return this.wiring.inputVolts(wire);
  }

  /** A sensor supply inside the unit, against the unit's own ground. */
  railVolts(rail: number): number {
    this.#solve();
    return this.wiring.network.voltsBetween(this.wiring.railNode(rail), UNIT_GROUND);
  }

  #clip(part: ResistorId, a: number, b: number, ohms: number): void {
    this.wiring.network.moveResistor(part, a, b);
    this.wiring.network.setOhms(part, ohms);
  }

  #solve(): void {
    const outcome = this.wiring.network.solve();
    if (outcome !== 'solved') throw new Error(`There is a network without an answer: ${outcome}.`);
  }
}
