import { liveDataStep } from '@lettura/core/machine/family';
import {
  keyOn,
  type GaugeTap,
  type Lane,
  type MachineState,
  type Place,
  type ProbePoint,
} from '@lettura/core/machine/places';
import { isPressure } from '@lettura/core/measure/quantity';
import type { AnyEvidence } from '@lettura/core/record/evidence';
import type { ObservationId, ObservationMade } from '@lettura/core/record/observation';
import type { ChannelUse, Recording } from '@lettura/core/recording/sweep';
import { Draw } from './draw.ts';
import { NoRest, type Stranger } from './stranger.ts';

/** What is asked for: where, of which sort, in which state. */
export interface Asked {
  target:
    | { kind: 'wire'; lane: Lane; place: Place }
    | { kind: 'between' | 'ohms'; from: ProbePoint; to: ProbePoint }
    | { kind: 'gauge'; tap: GaugeTap }
    | { kind: 'scan' | 'engine-flow' }
    | { kind: 'live-volts'; lane: 'signal' | 'second-signal' }
    | { kind: 'sweep' }
    | { kind: 'observation'; observation: ObservationId };
  state: MachineState;
}
export type Took = AnyEvidence | ObservationMade | { recording: Recording; uses: ChannelUse[] };

const SLIPS = 0.02;
/** A probe that is on the wrong pin stays there however often one reads. */
const STAYS_WRONG = 0.006;
/** Nobody knows it of his engine. */
const FILLING_TAKEN_PERCENT = 75;
const LOOK_MISSES = 0.1;
const LOOK_IMAGINES = 0.02;
const CODE_NOTED = 0.85;
const CODE_OF_OLD = 0.05;

/** Somebody with instruments of his own, each off by its own amount the whole day. */
export class StrangeTechnician {
  readonly #one: Stranger;
  readonly #draw: Draw;
  readonly #seed: number;
  readonly #meter: { gain: number; offset: number };
  readonly #gauge: { share: number; gain: number };
  readonly stationKpaAbs: number;

  constructor(one: Stranger, seed: number) {
    this.#one = one;
    this.#seed = seed;
    const draw = (this.#draw = new Draw(seed * 31 + 17));
    this.#meter = {
      gain: 1 + draw.between(-0.005, 0.005),
      // One meter in thirty is worse than it says.
      offset: draw.happens(0.03) ? draw.between(-0.06, 0.06) : draw.between(-0.002, 0.002),
    };
    this.#gauge = {
      share: draw.between(-0.016, 0.016),
      gain: draw.happens(0.03) ? draw.between(0.92, 1.08) : 1,
    };
    this.stationKpaAbs = Math.round((one.weather.kpaAbs + draw.about(0, 0.15)) * 10) / 10;
  }

  /** Of the codes by what the unit complains of at rest and moved. */
  codes(
    named: { low?: string; high?: string; secondLow?: string; secondHigh?: string; pair?: string },
    states: readonly MachineState[],
  ): string[] {
    const found = new Set<string>();
    for (const state of states) {
      const complains = this.#complains(state);
      for (const key of ['low', 'high', 'secondLow', 'secondHigh', 'pair'] as const)
        if (complains[key] && named[key]) found.add(named[key]);
      if (complains.supply) found.add('P0641');
    }
    const old = [named.low, named.high].filter((code) => code !== undefined);
    return [
      ...[...found].filter(() => this.#draw.happens(CODE_NOTED)),
      ...old.filter((code) => !found.has(code) && this.#draw.happens(CODE_OF_OLD / 2)),
    ];
  }

  /** Undefined where there is nothing to be read. */
  read(asked: Asked, tick: number): Took | undefined {
    try {
      return this.#read(asked, tick);
    } catch (error) {
      if (error instanceof NoRest) return undefined;
      throw error;
    }
  }

  #read({ target, state }: Asked, tick: number): Took | undefined {
    const one = this.#one;
    const id = String(tick);
    const slips = this.#draw.happens(SLIPS);
    switch (target.kind) {
      case 'wire': {
        const stays = new Draw(
          this.#seed * 131 +
            7 * one.sensor.wires.indexOf(target.lane) +
            ['unit', 'connector', 'plug'].indexOf(target.place),
        );
        const lane = stays.happens(STAYS_WRONG)
          ? stays.of(one.sensor.wires)
          : slips
            ? this.#draw.of(one.sensor.wires)
            : target.lane;
        const volts = one.volts({ lane, place: target.place }, 'battery-negative', state);
        return { kind: 'wire', id, lane: target.lane, place: target.place, state, volts: this.#shown(volts) };
      }
      case 'between': {
        const volts = slips ? this.#draw.between(0, 5) : one.volts(target.from, target.to, state);
        return { ...target, kind: 'between', id, state, volts: this.#shown(volts) };
      }
      case 'ohms': {
        const ohms = slips ? this.#draw.decades(1, 1e7) : one.ohms(target.from, target.to, state);
        return {
          ...target,
          kind: 'ohms',
          id,
          state,
          ohms: ohms === null ? null : Number(ohms.toPrecision(3)),
        };
      }
      case 'scan': {
        if (!keyOn(state)) return undefined;
        const { measures, lowest, highest } = one.sensor.profile;
        const step = liveDataStep(one.sensor.family, measures);
        const value = slips ? this.#draw.between(lowest, highest) : one.believes(state).value;
        return { kind: 'scan', id, measures, value: Math.round(value / step) * step, state };
      }
      case 'live-volts': {
        if (!keyOn(state)) return undefined;
        const volts = slips ? this.#draw.between(0, 5) : one.unitReads(target.lane, state);
        return { kind: 'live-volts', id, lane: target.lane, state, volts: Number(volts.toFixed(2)) };
      }
      case 'engine-flow': {
        const engine = one.sensor.engine?.(state);
        if (!engine || engine.revsPerMinute === 0 || one.sensor.litres === undefined) return undefined;
        return {
          kind: 'engine-flow',
          id,
          state,
          displacementLitres: one.sensor.litres,
          revsPerMinute: Math.round(engine.revsPerMinute * this.#draw.between(0.97, 1.03)),
          manifoldKpaAbs: slips ? this.#draw.between(20, 100) : Math.round(engine.manifoldKpaAbs),
          airCelsius: Math.round(one.weather.celsius + this.#draw.between(0, 10)),
          fillingPercent: FILLING_TAKEN_PERCENT,
        };
      }
      case 'gauge':
        return this.#gaugeRead(target.tap, state, id, slips);
      case 'observation':
        return this.#look(target.observation);
      case 'sweep':
        return this.#sweep();
    }
  }

  /** What keeps coming and going is complained of as well as not. */
  #complains(state: MachineState): ReturnType<Stranger['believes']>['complains'] {
    try {
      return this.#one.believes(state).complains;
    } catch (error) {
      if (!(error instanceof NoRest)) throw error;
      return { low: false, high: false, supply: false, pair: false, secondLow: false, secondHigh: false };
    }
  }

  #shown(volts: number): number {
    const shown = volts * this.#meter.gain + this.#meter.offset + this.#draw.about(0, 0.0005);
    return Math.abs(shown) < 0.6 ? Math.round(shown * 1e4) / 1e4 : Math.round(shown * 1000) / 1000;
  }

  #gaugeRead(tap: GaugeTap, state: MachineState, id: string, slips: boolean): Took | undefined {
    const { sensor, weather } = this.#one;
    const { measures, lowest, highest } = sensor.profile;
    if (!isPressure(measures)) return undefined;
    const value = this.#one.quantity(state, tap === 'manifold' ? 'source' : 'sensor');
    const isVacuum = sensor.family === 'manifold-pressure';
    const overAmbient = measures === 'absolute-pressure' ? value - weather.kpaAbs : value;
    const span = isVacuum ? 101.6 : highest - Math.max(lowest, 0);
    const shown = slips
      ? this.#draw.between(0, span)
      : (isVacuum ? -overAmbient : overAmbient) * this.#gauge.gain + this.#gauge.share * span;
    const division = isVacuum ? 1.693 / 2 : span / 100;
    const pressureKpa = Math.max(0, Math.round(shown / division) * division);
    return { kind: 'gauge', id, tap, pressureKpa, basis: isVacuum ? 'vacuum' : 'gauge', state };
  }

  #look(observation: ObservationId): ObservationMade {
    const { complains } = this.#one.believes({ engine: 'koeo', plug: 'connected' });
    const isDue = (there: boolean) => ({
      id: observation,
      observation,
      holds: !this.#draw.happens(there ? 1 - LOOK_MISSES : LOOK_IMAGINES),
    });
    if (observation === 'code-low') return isDue(complains.low);
    if (observation === 'code-high') return isDue(complains.high);
    if (observation === 'code-supply') return isDue(complains.supply);
    return isDue(this.#one.ill.shows?.includes(observation) ?? false);
  }

  /** There and back by hand, two hundred samples a second. */
  #sweep(): Took {
    const one = this.#one;
    const steps = 240;
    const rate = 200;
    const lanes = one.sensor.wires.filter((wire) => wire === 'signal' || wire === 'second-signal');
    const voltsAt = (percent: number) =>
      lanes.map((lane) =>
        one.volts({ lane, place: 'plug' }, 'battery-negative', {
          engine: 'koeo',
          plug: 'connected',
          stimulus: { kind: 'held', percent },
        }),
      );
    const along: number[][] = [];
    for (let i = 0; i <= steps; i++) along.push(withNearest(along.at(-1), () => voltsAt((100 * i) / steps)));
    const samples = rate * 10;
    const at = (i: number) => {
      const share = Math.min(1, Math.max(0, (i / samples) * 2.4 - 0.2));
      const back = Math.min(1, Math.max(0, 2.4 - 0.2 - (i / samples) * 2.4));
      return Math.round(steps * Math.min(share, back));
    };
    return {
      recording: {
        seconds: Float64Array.from({ length: samples }, (_, i) => i / rate),
        channels: lanes.map((lane, channel) => ({
          name: lane,
          unit: 'V',
          values: Float64Array.from(
            { length: samples },
            (_, i) => along[at(i)]![channel]! + this.#draw.about(0, 0.004),
          ),
        })),
      },
      uses: lanes.map((lane): ChannelUse => lane as ChannelUse),
    };
  }
}

/** One place of many at which the sums find no rest shows what the one before it does. */
function withNearest(before: number[] | undefined, volts: () => number[]): number[] {
  try {
    return volts();
  } catch (error) {
    if (before && error instanceof NoRest) return before;
    throw error;
  }
}
