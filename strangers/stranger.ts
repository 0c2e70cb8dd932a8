import { keyOn, running, type Lane, type MachineState, type ProbePoint } from '@lettura/core/machine/places';
import { pairDeviation } from '@lettura/core/measure/positionPair';
import { thermistorOhms } from '@lettura/core/measure/thermistor';
import { signalFromValue, toleranceAt, valueAtNominal } from '@lettura/core/measure/transfer';
import { Draw } from './draw.ts';
import { STRETCHES, type Ill } from './ill.ts';
import { illOf } from './illOf.ts';
import { makerOf, type Maker } from './maker.ts';
import {
  battery,
  chip,
  OPEN_OHMS,
  diode,
  outputStage,
  regulator,
  resistor,
  solveNodes,
  type Device,
} from './nodalCircuit.ts';
import { strangeSensor, STRANGE_FAMILIES, type StrangeSensor, type Weather } from './strangeSensor.ts';

const [GROUND, BATTERY, UNIT_GROUND, UNIT_SUPPLY, PROBE] = [0, 1, 2, 3, 4];
const FIRST_SUPPLY = 5;
/** Of a wire: board, unit pin, connector, plug, sensor pin, inside. */
const POINTS = STRETCHES.length + 1;
const OHMMETER_VOLTS = 0.4;
const OHMMETER_OHMS = 2000;
const MOST_OHMS = 2e7;
const METER_OHMS = 1e7;
const LEAD_OHMS = 0.05;

const MAKES = 6;
const STATIONS_KPA = [89, 94, 98.5, 101.5] as const;
const SOUND: Ill = { name: 'sound', class: 'nothing', isAt: () => true };
export class NoRest extends Error {}

/** A machine that nobody here has met: a sensor, its maker's ways, and what is wrong with it. */
export class Stranger {
  readonly sensor: StrangeSensor;
  readonly maker: Maker;
  readonly ill: Ill;
  readonly weather: Weather;

  /** Of its sensor, by family. */
  readonly make: string;

  constructor(sensor: StrangeSensor, maker: Maker, ill: Ill, weather: Weather, make: string) {
    this.make = make;
    this.sensor = sensor;
    this.maker = maker;
    this.ill = ill;
    this.weather = weather;
  }

  /**
   * Drawn until the unit would notice, or nothing is wrong: nobody brings in what nobody notices. Sensors come in a few makes a
   * family; whatever else there is differs from one machine to the next.
   */
  static drawn(seed: number): Stranger {
    const family = STRANGE_FAMILIES[seed % STRANGE_FAMILIES.length]!;
    for (let round = 0; ; round++) {
      const draw = new Draw(seed * 1009 + round * 7919);
      const make = Math.floor(draw.share() * MAKES);
      const weather = {
        kpaAbs: draw.of(STATIONS_KPA) + draw.between(-0.4, 0.4),
        celsius: draw.between(5, 30),
      };
      const sensor = strangeSensor(new Draw(7 + 1e5 * make), draw, family, weather);
      const maker = makerOf(draw, sensor.wires, [sensor.profile.lowest, sensor.profile.highest]);
      const ill = illOf(draw, sensor);
      const one = new Stranger(sensor, maker, ill, weather, `${family} ${make}`);
      try {
        if (ill.class === 'nothing') return one;
        const sound = new Stranger(sensor, maker, SOUND, weather, one.make);
        if (one.#isNoticed(sound)) return one;
      } catch (error) {
        // A supply that drops its sensor and takes it up again for ever: an average of that is no voltage to note.
        if (!(error instanceof NoRest)) throw error;
      }
    }
  }

  #isNoticed(sound: Stranger): boolean {
    const noticed = (state: MachineState) =>
      this.sensor.wires
        .filter((wire) => wire === 'signal' || wire === 'second-signal')
        .some((wire) => Math.abs(this.unitReads(wire, state) - sound.unitReads(wire, state)) > 0.07);
    const { track } = this.ill;
    const travel = track?.deadFrom === undefined ? [] : Array.from({ length: 51 }, (_, i) => 2 * i);
    return [
      ...(['koeo', 'idle', 'held-revs'] as const).map((engine) => ({ engine, plug: 'connected' }) as const),
      { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } } as const,
      { engine: 'koeo', plug: 'connected', stimulus: { kind: 'full-travel' } } as const,
      ...travel.map(
        (percent) => ({ engine: 'koeo', plug: 'connected', stimulus: { kind: 'held', percent } }) as const,
      ),
    ].some(noticed);
  }

  /** What is there to be measured, where it arises or where the sensor meets it. */
  quantity(state: MachineState, where: 'source' | 'sensor'): number {
    const { sensor, ill } = this;
    const true_ = sensor.meets(state);
    const isMovedItself = state.stimulus?.kind === 'pump' || state.stimulus?.kind === 'held';
    if (!ill.quantity || isMovedItself || (where === 'source' && !ill.isAtSource)) return true_;
    return ill.quantity(true_, sensor.atRest, state);
  }

  /** Volts of one point against another, with a meter of ten megohms on them. */
  volts(red: ProbePoint, black: ProbePoint, state: MachineState): number {
    const [plus, minus] = [this.#node(red), this.#node(black)];
    const volts = this.#solved(state, [resistor(plus, minus, METER_OHMS)]);
    return volts[plus]! - volts[minus]!;
  }

  /** Null for OL. */
  ohms(red: ProbePoint, black: ProbePoint, state: MachineState): number | null {
    const [plus, minus] = [this.#node(red), this.#node(black)];
    const volts = this.#solved(state, [
      battery(PROBE, minus, OHMMETER_VOLTS, OHMMETER_OHMS),
      resistor(PROBE, plus, 0.05),
    ]);
    const over = volts[plus]! - volts[minus]!;
    const amps = (OHMMETER_VOLTS - (volts[PROBE]! - volts[minus]!)) / OHMMETER_OHMS;
    const ohms = over / amps;
    return amps > 1e-9 && ohms < MOST_OHMS ? Math.max(0, ohms) : null;
  }

  /** Of an input, as the unit's converter has it. */
  unitReads(wire: Lane, state: MachineState): number {
    const { ill, maker } = this;
    if (ill.readsAlways?.wire === wire) return ill.readsAlways.volts;
    const volts = this.#solved(state);
    const at = volts[this.#at(wire, 0)]! - volts[UNIT_GROUND]!;
    return Math.min(5.1, Math.max(0, at * maker.converter.gain + maker.converter.offsetVolts));
  }

  supplyVolts(number: number, state: MachineState): number {
    const volts = this.#solved(state);
    return volts[FIRST_SUPPLY + number]! - volts[UNIT_GROUND]!;
  }

  /** What the unit believes of the signal, and of what it complains. */
  believes(state: MachineState): {
    value: number;
    complains: {
      low: boolean;
      high: boolean;
      supply: boolean;
      pair: boolean;
      secondLow: boolean;
      secondHigh: boolean;
    };
  } {
    const { profile, companion } = this.sensor;
    const { givesUp, supplyComplaint, pairComplaintPercent, supplies } = this.maker;
    const volts = this.unitReads('signal', state);
    const low = volts < profile.circuitLowVolts + givesUp.low;
    const high = volts > profile.circuitHighVolts + givesUp.high;
    const second = this.sensor.wires.includes('second-signal')
      ? this.unitReads('second-signal', state)
      : undefined;
    const isTrack = companion?.kind === 'second-track';
    const limits = isTrack ? [profile.circuitLowVolts, profile.circuitHighVolts] : [0.1, 4.87];
    const parted =
      isTrack && second !== undefined
        ? Math.abs(pairDeviation(volts, second, 5, companion.pair).deviationPercentOfReference)
        : 0;
    return {
      value: low || high ? givesUp.shows : valueAtNominal(volts, profile),
      complains: {
        low,
        high,
        supply:
          this.sensor.wires.includes('reference') &&
          supplies.some((_, number) => {
            const at = this.supplyVolts(number, state);
            return at < supplyComplaint[0] || at > supplyComplaint[1];
          }),
        pair: parted > pairComplaintPercent,
        secondLow: second !== undefined && second < limits[0]!,
        secondHigh: second !== undefined && second > limits[1]!,
      },
    };
  }

  #solved(state: MachineState, besides: readonly Device[] = []): number[] {
    for (const isAsleep of [false, true]) {
      const volts = solveNodes(this.#nodeCount, [...this.#devices(state, isAsleep), ...besides]);
      if (volts) return volts;
    }
    throw new NoRest('This machine comes to no rest.');
  }

  get #nodeCount(): number {
    return FIRST_SUPPLY + 2 + this.sensor.wires.length * POINTS + 2;
  }

  #at(wire: Lane, point: number): number {
    return FIRST_SUPPLY + 2 + this.sensor.wires.indexOf(wire) * POINTS + point;
  }

  #node(point: ProbePoint): number {
    if (point === 'battery-negative') return GROUND;
    if (point === 'battery-positive') return BATTERY;
    return this.#at(point.lane, { unit: 1, connector: 2, plug: 3, pin: 4 }[point.place]);
  }

  #devices(state: MachineState, isAsleep: boolean): Device[] {
    const { maker, ill, sensor } = this;
    const on = keyOn(state);
    const isPlugged = state.plug === 'connected';
    const batteryVolts = running(state) ? maker.battery.running : maker.battery.stopped;
    const found: Device[] = [
      battery(BATTERY, GROUND, batteryVolts, 0.01),
      resistor(UNIT_GROUND, GROUND, maker.unitGroundOhms + (ill.unitGroundOhms ?? 0)),
      // The unit takes what it needs, as long as there is something to take.
      ...(on ? [chip(BATTERY, UNIT_GROUND, maker.unitAmps, 4)] : []),
      on ? battery(UNIT_SUPPLY, UNIT_GROUND, 5, 0.2) : resistor(UNIT_SUPPLY, UNIT_GROUND, 20_000),
    ];
    const off = state.harness?.neighboursOff ?? [];
    maker.supplies.forEach((supply, number) => {
      const node = FIRST_SUPPLY + number;
      const wrong = ill.supply?.number === number ? ill.supply : {};
      found.push(
        on ? regulator(node, UNIT_GROUND, { ...supply, ...wrong }) : resistor(node, UNIT_GROUND, 30_000),
      );
      const wire = number === 0 ? 'reference' : 'second-reference';
      const back = number === 1 && sensor.wires.includes('second-return') ? 'second-return' : 'return';
      if (off.length > 0 || !sensor.wires.includes(wire)) return;
      for (const { splicedInLoom, ohms } of supply.neighbours)
        found.push(
          splicedInLoom
            ? resistor(this.#at(wire, 2), this.#at(back, 2), ohms)
            : resistor(node, UNIT_GROUND, ohms),
        );
      if (ill.neighbour?.supply === number) found.push(resistor(node, UNIT_GROUND, ill.neighbour.ohms));
    });
    for (const wire of sensor.wires) found.push(...this.#wire(wire, on, isPlugged));
    for (const { a, b, ohms } of ill.leaks ?? [])
      found.push(
        resistor(this.#at(a, 2), b === 'ground' ? GROUND : b === 'battery' ? BATTERY : this.#at(b, 2), ohms),
      );
    for (const one of state.harness?.attachments ?? [])
      if (one.kind === 'jumper') found.push(resistor(this.#node(one.from), this.#node(one.to), LEAD_OHMS));
    found.push(...this.#element(state, isAsleep));
    return found;
  }

  #wire(wire: Lane, on: boolean, isPlugged: boolean): Device[] {
    const { maker, ill } = this;
    const board = this.#at(wire, 0);
    const added = (stretch: (typeof STRETCHES)[number]) => ill.addedOhms?.[`${wire}:${stretch}`] ?? 0;
    const along = [0.002, maker.wireOhms, maker.wireOhms, maker.contactOhms, 0.01].map((ohms, i) =>
      // Pulled off, a contact is nothing, whatever it was.
      STRETCHES[i] === 'contact' && !isPlugged
        ? undefined
        : resistor(board + i, board + i + 1, ohms + added(STRETCHES[i]!)),
    );
    const found = along.filter((one) => one !== undefined);
    if (wire === 'reference' || wire === 'second-reference') {
      found.push(resistor(FIRST_SUPPLY + (wire === 'reference' ? 0 : 1), board, 0.001));
    } else if (wire === 'return' || wire === 'second-return') {
      found.push(resistor(board, UNIT_GROUND, 0.001));
    } else if (wire === 'battery-feed') {
      if (on) found.push(resistor(board, BATTERY, 0.08));
    } else {
      const { companion } = this.sensor;
      const pull =
        wire === 'second-signal' && companion?.kind === 'temperature'
          ? { up: companion.pullUpOhms, down: Infinity }
          : maker.pulls[wire];
      if (pull && pull.up < Infinity) found.push(resistor(board, UNIT_SUPPLY, pull.up));
      if (pull && pull.down < Infinity) found.push(resistor(board, UNIT_GROUND, pull.down));
      // The converter itself lets a little through.
      found.push(resistor(board, UNIT_GROUND, 2e7), diode(board, UNIT_SUPPLY), diode(UNIT_GROUND, board));
    }
    return found;
  }

  /** Where the output should be: as a share of five volts, for what the sensor meets, at its place in its tolerance. */
  #share(state: MachineState): number {
    const { sensor, maker, ill } = this;
    const { profile } = sensor;
    const at = (value: number): number => {
      const off = maker.withinTolerance * toleranceAt(value, profile);
      const within = Math.max(profile.lowest - off, Math.min(profile.highest - off, value)) + off;
      return signalFromValue(within, 5, profile).signalVolts / 5;
    };
    const share = at(this.quantity(state, 'sensor'));
    return ill.element ? ill.element(share, at(sensor.atRest)) : share;
  }

  #element(state: MachineState, isAsleep: boolean): Device[] {
    const { sensor, maker, ill } = this;
    const inside = (wire: Lane) => this.#at(wire, POINTS - 1);
    const share = this.#share(state);
    const found: Device[] = [];
    if (sensor.companion?.kind === 'temperature')
      found.push(
        resistor(
          inside('second-signal'),
          inside('return'),
          ill.thermistorOpen ? OPEN_OHMS : thermistorOhms(this.weather.celsius, sensor.companion.thermistor),
        ),
      );
    if (sensor.body === 'chip' || sensor.body === 'heated') {
      const plus = inside(sensor.body === 'chip' ? 'reference' : 'battery-feed');
      const minus = inside('return');
      const out = inside('signal');
      const { transfer } = sensor.profile;
      const follows = transfer.form === 'ratiometric' || (transfer.form === 'table' && transfer.ratiometric);
      const stage = maker.chip;
      found.push(
        sensor.body === 'chip'
          ? chip(plus, minus, stage.amps, stage.kneeVolts)
          : chip(plus, minus, maker.heated.amps, 6),
        outputStage(out, plus, minus, {
          wanted: (fed) => share * (follows ? fed : 5),
          fromBottomVolts: stage.fromBottomVolts,
          fromTopVolts: sensor.body === 'chip' ? stage.fromTopVolts : Math.max(1, 12 - maker.heated.topVolts),
          ohms: stage.ohms + (ill.outputOhms ?? 0),
          mostAmps: stage.mostAmps,
          isAsleep,
          startsAtVolts: sensor.body === 'chip' ? stage.startsAtVolts : 6.5,
        }),
        diode(out, plus, 0.6, 50),
        diode(minus, out, 0.6, 50),
      );
      if (ill.chipDraws !== undefined) found.push(resistor(plus, minus, ill.chipDraws));
      return found;
    }
    found.push(...this.#track(1, share));
    if (sensor.companion?.kind === 'second-track') {
      const { pair } = sensor.companion;
      const second = pair.law === 'mirrored' ? 1 - share : (share * 5 - pair.offsetVolts) / pair.ratio / 5;
      found.push(...this.#track(2, second, share));
    }
    return found;
  }

  #track(number: 1 | 2, share: number, firstShare = share): Device[] {
    const { sensor, maker, ill } = this;
    const own = number === 2 && sensor.wires.includes('second-reference');
    const top = this.#at(own ? 'second-reference' : 'reference', POINTS - 1);
    const bottom = this.#at(own ? 'second-return' : 'return', POINTS - 1);
    const signal = this.#at(number === 2 ? 'second-signal' : 'signal', POINTS - 1);
    const wiper = this.#nodeCount - number;
    const { ohms, wiperOhms, endShare } = maker.track;
    const at = Math.min(1 - endShare, Math.max(endShare, share));
    const wrong = ill.track?.number === number ? ill.track : undefined;
    const isDead = wrong?.deadFrom !== undefined && firstShare > wrong.deadFrom && firstShare < wrong.deadTo!;
    return [
      resistor(top, wiper, ohms * (1 - at) + (wrong?.openAt === 'upper' ? OPEN_OHMS : 0)),
      resistor(
        wiper,
        bottom,
        ohms * at + (wrong?.openAt === 'lower' ? OPEN_OHMS : 0) + (wrong?.endOhms ?? 0),
      ),
      resistor(wiper, signal, wiperOhms + (wrong?.openAt === 'wiper' || isDead ? OPEN_OHMS : 0)),
    ];
  }
}
