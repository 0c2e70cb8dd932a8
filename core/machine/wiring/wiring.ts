import type { Place, Lane } from '../places/index.ts';
import {
  clamp,
  divider,
  limitedSupply,
  Network,
  source,
  type Conductor,
  type ConductorId,
  type ResistorId,
  type StageId,
} from '../circuit/index.ts';
import { AT_REST, type Drive, type Joint, type PartName } from './parts.ts';
import type { Rail, UnitEnd, WiringSpec } from './wiringSpec.ts';

/** Along a wire: three places that can be probed from outside, the pin of the sensor, and the element behind it. */
export type WirePoint = Place | 'pin' | 'element';
const POINTS: readonly WirePoint[] = ['unit', 'connector', 'plug', 'pin', 'element'];

export const BATTERY_NEGATIVE = 0;
export const BATTERY_POSITIVE = 1;
export const UNIT_GROUND = 2;
const UNIT_SUPPLY = 3;
const FIRST_RAIL = 4;

const BATTERY_OHMS = 0.02;
const UNIT_SUPPLY_OHMS = 0.1;
const UNIT_GROUND_OHMS = 0.01;
/** Half an ampere of its own, which a bad ground point turns into a step under everything. */
const UNIT_LOAD_OHMS = 24;
const INPUT_CLAMP = clamp(0.5, 10_000);
const DRIVER_OHMS = 22_000;
const MOTOR_OHMS = 2.2;
/** Faults that put two points together: at most this many at once. */
const BRIDGES = 3;

/**
 * The network of one sensor, its harness and its control unit. Every value can be changed in place, so that one wiring
 * serves a whole bench or a whole weighing; `reset` makes it sound again.
 */
export class Wiring {
  readonly network: Network;
  readonly spec: WiringSpec;
  readonly #firstNode = new Map<Lane, number>();
  readonly #parts = new Map<PartName, { id: ResistorId; soundOhms: number }>();
  readonly #rails: ConductorId[] = [];
  readonly #railSpecs: Rail[];
  readonly #unitSupply: ConductorId;
  readonly #unitOn: Conductor;
  readonly #soundSupplies: readonly Conductor[];
  readonly #bridges: ResistorId[] = [];
  #stage: StageId | undefined;
  #bridgesUsed = 0;
  #keyOn = true;
  #plugged = true;
  #drive: Drive = AT_REST;
  /** The first of the nodes asked for with `spareNodes`. */
  readonly firstSpareNode: number;

  constructor(spec: WiringSpec, spareNodes = 0) {
    this.spec = spec;
    this.#railSpecs = spec.rails.map((rail) => ({ ...rail }));
    const firstWire = FIRST_RAIL + spec.rails.length;
    spec.wires.forEach(({ wire }, i) => this.#firstNode.set(wire, firstWire + i * POINTS.length));
    const firstWiper = firstWire + spec.wires.length * POINTS.length;
    this.firstSpareNode = firstWiper + 2;
    this.network = new Network(this.firstSpareNode + spareNodes);
    const { network } = this;

    network.addConductor(BATTERY_POSITIVE, BATTERY_NEGATIVE, source(spec.batteryVolts, BATTERY_OHMS));
    this.#add('unit-ground', UNIT_GROUND, BATTERY_NEGATIVE, UNIT_GROUND_OHMS);
    this.#add('unit-load', BATTERY_POSITIVE, UNIT_GROUND, UNIT_LOAD_OHMS);
    this.#unitOn = source(spec.unitVolts, UNIT_SUPPLY_OHMS);
    this.#soundSupplies = spec.rails.map(({ volts, ohms, limitAmps }) =>
      limitedSupply(volts, ohms, limitAmps),
    );
    this.#unitSupply = network.addConductor(UNIT_SUPPLY, UNIT_GROUND, this.#unitOn);
    let neighbour = 0;
    spec.rails.forEach((rail, i) => {
      this.#rails.push(network.addConductor(FIRST_RAIL + i, UNIT_GROUND, this.#soundSupplies[i]!));
      for (const ohms of rail.neighbourOhms)
        this.#add(`neighbour:${neighbour++}`, FIRST_RAIL + i, UNIT_GROUND, ohms);
    });
    for (const { wire, end } of spec.wires) this.#addWire(wire, end);
    this.#addSensor(firstWiper);
    for (let i = 0; i < BRIDGES; i++)
      this.#bridges.push(network.addResistor(BATTERY_NEGATIVE, BATTERY_NEGATIVE, Infinity));
    this.reset();
  }

  has(wire: Lane): boolean {
    return this.#firstNode.has(wire);
  }

  /** The node of a point on a wire that this body has. */
  node(wire: Lane, point: WirePoint): number {
    const first = this.#firstNode.get(wire);
    if (first === undefined) throw new Error(`This body has no ${wire} wire.`);
    return first + POINTS.indexOf(point);
  }

  /** The node of a rail inside the unit. */
  railNode(rail: number): number {
    return FIRST_RAIL + rail;
  }

  hasPart(name: PartName): boolean {
    return this.#parts.has(name);
  }

  /** Everything as it left the factory: key on, plugged in, at rest. */
  reset(): void {
    for (const { id, soundOhms } of this.#parts.values()) this.network.setOhms(id, soundOhms);
    for (const bridge of this.#bridges) this.network.setOhms(bridge, Infinity);
    this.#bridgesUsed = 0;
    this.spec.rails.forEach((rail, i) => Object.assign(this.#railSpecs[i]!, rail));
    this.#plugged = true;
    this.setKey(true);
    this.drive(AT_REST);
  }

  /** With the key off neither the unit nor the relay gives anything. */
  setKey(on: boolean): void {
    this.#keyOn = on;
    const { network, spec } = this;
    network.setConductor(this.#unitSupply, on ? this.#unitOn : UNIT_OFF);
    this.#railSpecs.forEach((rail, i) =>
      network.setConductor(this.#rails[i]!, on ? this.#supplyOf(rail, i) : REGULATOR_OFF),
    );
    this.#set('unit-load', on ? UNIT_LOAD_OHMS : Infinity);
    for (const { wire, end } of spec.wires)
      if (end.kind === 'battery') this.#set(`${wire}:unit`, on ? this.#soundOhms(`${wire}:unit`) : Infinity);
  }

  /** The plug at the sensor; what the contacts have become by faults they keep only while it is connected. */
  setPlug(connected: boolean): void {
    if (connected === this.#plugged) return;
    this.#plugged = connected;
    for (const { wire } of this.spec.wires)
      this.#set(`${wire}:plug`, connected ? this.#soundOhms(`${wire}:plug`) : Infinity);
  }

  /** What the sensor's element does now. */
  drive(drive: Drive): void {
    this.#drive = drive;
    const { sensor, thermistor } = this.spec;
    if (sensor.kind === 'stage') this.network.setStage(this.#stage!, drive.share, drive.offsetVolts);
    else {
      this.#setTrack(1, drive.share);
      if (sensor.kind === 'two-tracks') this.#setTrack(2, drive.secondShare);
    }
    if (thermistor) this.#set('thermistor', drive.thermistorOhms);
  }

  get driven(): Drive {
    return this.#drive;
  }

  /** Ohms more than a sound part has; infinite for an open one. */
  addOhms(part: PartName, ohms: number): void {
    const { id } = this.#part(part);
    this.network.setOhms(id, this.network.ohmsOf(id) + ohms);
  }

  /** Another value than the sound one. */
  setOhms(part: PartName, ohms: number): void {
    this.#set(part, ohms);
  }

  /** Puts two nodes together. */
  bridge(a: number, b: number, ohms: number): void {
    const id = this.#bridges[this.#bridgesUsed++];
    if (id === undefined) throw new Error(`No more than ${BRIDGES} shorts at once.`);
    this.network.moveResistor(id, a, b);
    this.network.setOhms(id, ohms);
  }

  /** A supply that is no longer what it was. */
  setRail(rail: number, changed: Partial<Rail>): void {
    Object.assign(this.#railSpecs[rail]!, changed);
    this.setKey(this.#keyOn);
  }

  /** Undefined for a part that this wiring does not have. */
  ohmsOf(part: PartName): number | undefined {
    const known = this.#parts.get(part);
    return known && this.network.ohmsOf(known.id);
  }

  /** What a rail gives, in amperes, as last solved. */
  railAmps(rail: number): number {
    const { volts, ohms } = this.#railSpecs[rail]!;
    return (volts - this.network.voltsBetween(this.railNode(rail), UNIT_GROUND)) / ohms;
  }

  /** All sensor supplies by the same, as they stand. */
  raiseRails(volts: number): void {
    this.#railSpecs.forEach((rail) => (rail.volts += volts));
    this.setKey(this.#keyOn);
  }

  get isPlugged(): boolean {
    return this.#plugged;
  }

  /** Across the element of a stage, in volts, as last solved. */
  suppliedVolts(): number {
    const { sensor } = this.spec;
    if (sensor.kind !== 'stage') throw new Error('A track has no supply of its own.');
    return this.network.voltsBetween(this.node(sensor.feed, 'element'), this.node('return', 'element'));
  }

  /** Of the element's end of a wire against battery negative, as last solved. */
  elementVolts(wire: Lane): number {
    return this.network.voltsBetween(this.node(wire, 'element'), BATTERY_NEGATIVE);
  }

  /** Pulls the element's end of a wire towards the battery: what moves hangs on it. */
  nudge(wire: Lane, ohms: number): void {
    this.bridge(this.node(wire, 'element'), BATTERY_POSITIVE, ohms);
  }

  /** What the unit's converter sees of an input, in volts against its own ground; NaN where the network has none. */
  inputVolts(wire: Lane): number {
    const volts = this.network.voltsBetween(this.node(wire, 'unit'), UNIT_GROUND);
    return Math.min(this.spec.unitVolts + CLAMP_VOLTS, Math.max(-CLAMP_VOLTS, volts));
  }

  /** Nearly always as the machine was made, and that shape is there already. */
  #supplyOf({ volts, ohms, limitAmps }: Rail, i: number): Conductor {
    const sound = this.spec.rails[i]!;
    return volts === sound.volts && ohms === sound.ohms && limitAmps === sound.limitAmps
      ? this.#soundSupplies[i]!
      : limitedSupply(volts, ohms, limitAmps);
  }

  #addWire(wire: Lane, end: UnitEnd): void {
    const unit = this.node(wire, 'unit');
    switch (end.kind) {
      case 'rail':
        this.#add(`${wire}:unit`, FIRST_RAIL + end.rail, unit, 0);
        break;
      case 'ground':
        this.#add(`${wire}:unit`, UNIT_GROUND, unit, 0);
        break;
      case 'battery':
        this.#add(`${wire}:unit`, BATTERY_POSITIVE, unit, 0.05);
        break;
      case 'input':
        this.#add(`pull-up:${wire}`, unit, UNIT_SUPPLY, end.pullUpOhms);
        this.#add(`pull-down:${wire}`, unit, UNIT_GROUND, end.pullDownOhms);
        this.network.addConductor(unit, UNIT_SUPPLY, INPUT_CLAMP);
        this.network.addConductor(UNIT_GROUND, unit, INPUT_CLAMP);
        break;
      case 'driver':
        this.#add(`pull-up:${wire}`, unit, BATTERY_POSITIVE, DRIVER_OHMS);
        this.#add(`pull-down:${wire}`, unit, UNIT_GROUND, DRIVER_OHMS);
        break;
    }
    const joints: readonly (readonly [Joint, WirePoint, WirePoint, number])[] = [
      ['first', 'unit', 'connector', this.spec.segmentOhms],
      ['second', 'connector', 'plug', this.spec.segmentOhms],
      ['plug', 'plug', 'pin', 0],
      ['inside', 'pin', 'element', 0],
    ];
    for (const [joint, from, to, ohms] of joints)
      this.#add(`${wire}:${joint}`, this.node(wire, from), this.node(wire, to), ohms);
  }

  #addSensor(firstWiper: number): void {
    const { sensor, thermistor, wires } = this.spec;
    const at = (wire: Lane): number => this.node(wire, 'element');
    const second = (own: Lane, shared: Lane): number => at(this.has(own) ? own : shared);
    if (sensor.kind === 'stage') {
      const { feed, supplyOhms, outputOhms, lowestShare, highestShare } = sensor;
      this.#add('supply', at(feed), at('return'), supplyOhms);
      this.#stage = this.network.addStage({
        output: at('signal'),
        supply: at(feed),
        common: at('return'),
        share: AT_REST.share,
        offsetVolts: 0,
        lowestShare,
        highestShare,
        outputOhms,
      });
    } else {
      this.#addTrack(1, at('reference'), at('return'), at('signal'), firstWiper);
      if (sensor.kind === 'two-tracks')
        this.#addTrack(
          2,
          second('second-reference', 'reference'),
          second('second-return', 'return'),
          at('second-signal'),
          firstWiper + 1,
        );
    }
    if (thermistor) this.#add('thermistor', at('second-signal'), at('return'), AT_REST.thermistorOhms);
    if (wires.some(({ wire }) => wire === 'motor-plus'))
      this.#add('motor', at('motor-plus'), at('motor-minus'), MOTOR_OHMS);
  }

  #addTrack(track: 1 | 2, upper: number, lower: number, output: number, wiper: number): void {
    this.#add(`upper:${track}`, upper, wiper, 1);
    this.#add(`lower:${track}`, wiper, lower, 1);
    this.#add(`wiper:${track}`, wiper, output, (this.spec.sensor as { wiperOhms: number }).wiperOhms);
  }

  #setTrack(track: 1 | 2, share: number): void {
    const { trackOhms } = this.spec.sensor as { trackOhms: number };
    this.#set(`upper:${track}`, (1 - share) * trackOhms);
    this.#set(`lower:${track}`, share * trackOhms);
  }

  #add(name: PartName, a: number, b: number, soundOhms: number): void {
    this.#parts.set(name, { id: this.network.addResistor(a, b, soundOhms), soundOhms });
  }

  #part(name: PartName): { id: ResistorId; soundOhms: number } {
    const part = this.#parts.get(name);
    if (!part) throw new Error(`This wiring has no part “${name}”.`);
    return part;
  }

  #set(name: PartName, ohms: number): void {
    this.network.setOhms(this.#part(name).id, ohms);
  }

  #soundOhms(name: PartName): number {
    return this.#part(name).soundOhms;
  }
}

/**
 * A regulator that is off is no short: its feedback divider is left, and the diode that keeps it from being pulled below
 * ground. So an ohmmeter finds kilohms from reference to return on a sound machine (from memory).
 */
const REGULATOR_OFF = divider(12_000, 0.5, 10);

/** What hangs on the unit's own supply inside: silicon that draws little at the volt of an ohmmeter (from memory). */
const UNIT_OFF = source(0, 100);

const CLAMP_VOLTS = 0.5;
