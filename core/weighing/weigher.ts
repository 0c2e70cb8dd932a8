import {
  isPlain,
  keyOn,
  movesSensorItself,
  type AnyEvidence,
  type Lane,
  type OhmsReading,
} from '../evidence/index.ts';
import { effectsOf, valueMet, type Effect } from '../fault/index.ts';
import { liveDataStep } from '../family/index.ts';
import { expectationContext, gaugeAgainstSensor, type CaseFile } from '../reasoning/index.ts';
import { toleranceAt } from '../transfer/index.ts';
import { fromLimits, meterLimitVolts } from '../uncertainty/index.ts';
import { wiringFor } from '../wiring/index.ts';
import { Answers, between, type AnswerTable, type CircuitSpot } from './answers.ts';
import { celsiusGrid, CELSIUS_DRIVE, driveOf } from './drives.ts';
import { hypothesesFor, type Hypothesis } from './hypotheses.ts';
import { noticedWeights } from './noticed.ts';
import { LOOKED_DRIVE, observationReading } from './observationLikelihood.ts';
import { quantityGrid, type QuantityGrid } from './quantityGrid.ts';
import {
  gaugeLikelihood,
  MISTAKEN_OHMS,
  mistakenVolts,
  mistakenGauge,
  mistakenScan,
  ohmsLikelihood,
  scanLikelihood,
  voltsLikelihood,
} from './readingLikelihood.ts';
import { SWEEP_DRIVE, sweepOutcome, sweepReading } from './sweepLikelihood.ts';
import { TOLERANCES, type WeighedCase, type WeighedReading } from './weighedCase.ts';

type Lists = Pick<WeighedReading, 'lists' | 'listOf' | 'floor'>;

/** Weighs one sensor: what its circuit would show was worked out once, so that one more reading costs little. */
export class Weigher {
  readonly hypotheses: readonly Hypothesis[];
  readonly answers: Answers;
  /** By sized hypothesis. */
  readonly weights: Float64Array;
  readonly #restingValue: number;
  /** By sized hypothesis, what it does to the quantity, as the number of one of the ways. */
  readonly #wayOf: Int32Array;
  readonly #ways: readonly (readonly Effect[])[];
  readonly #wires: readonly Lane[];
  readonly #companion: CaseFile['companion'];
  /** Of the context in which they were last asked for; likelihoods of a reading stay while it does. */
  #context = '';
  readonly #grids = new Map<string, QuantityGrid>();
  readonly #places = new Map<string, Places>();
  readonly #likelihoods = new Map<string, Lists | undefined>();

  constructor({ family, profile, companion, ambient }: CaseFile, wires: readonly Lane[]) {
    const sensor = { family, profile, companion, wires };
    this.#companion = companion;
    this.#wires = wires;
    this.hypotheses = hypothesesFor({ family, wiring: wiringFor(sensor) });
    this.#restingValue =
      profile.measures === 'absolute-pressure'
        ? Math.round(ambient?.pressureKpaAbs ?? STANDARD_KPA)
        : Math.max(profile.lowest, Math.min(0, profile.highest));
    this.answers = new Answers(sensor, this.hypotheses, this.#restingValue);
    this.weights = noticedWeights(
      this.answers,
      profile.nominalReferenceVolts,
      companion?.kind === 'second-track' && wires.includes('second-signal'),
    );
    const ways = new Map<string, { number: number; effects: readonly Effect[] }>();
    this.#wayOf = Int32Array.from(this.answers.sized, ({ fault }) => {
      const effects = fault ? effectsOf([fault]).filter(({ on }) => on === 'quantity') : [];
      const key = JSON.stringify(effects);
      const known = ways.get(key) ?? { number: ways.size, effects };
      ways.set(key, known);
      return known.number;
    });
    this.#ways = [...ways.values()].map(({ effects }) => effects);
  }

  /** Every reading of a job that the circuit, or the quantity itself, has something to say to. */
  caseOf(caseFile: CaseFile): WeighedCase {
    const { family, profile, ambient, displacementLitres, meter, gauge } = caseFile;
    const context = JSON.stringify([family, profile, ambient, displacementLitres, meter, gauge]);
    if (context !== this.#context) {
      this.#context = context;
      for (const kept of [this.#grids, this.#places, this.#likelihoods]) kept.clear();
      this.#grids.set(SWEEP_DRIVE, ONE_NODE);
      this.#grids.set(LOOKED_DRIVE, ONE_NODE);
    }
    const all = [...caseFile.readings, ...caseFile.isolation].filter((reading) =>
      this.#isOfThisBody(reading),
    );
    const readings = all.flatMap((reading) => {
      const drive = this.driveOf(reading);
      this.gridFor(reading, caseFile);
      const key = JSON.stringify([
        reading,
        isRepeat(reading, caseFile, liveDataStep(family, profile.measures)),
      ]);
      if (!this.#likelihoods.has(key)) this.#likelihoods.set(key, this.#likelihoodOf(reading, caseFile));
      const lists = this.#likelihoods.get(key);
      return lists ? [{ id: reading.id, drive, ...lists }] : [];
    });
    for (const made of caseFile.observations)
      readings.push(observationReading(made, this.hypotheses, this.answers.sized));
    const outcome = sweepOutcome(caseFile);
    if (outcome !== undefined) readings.push(sweepReading(outcome, this.answers.sized));
    return {
      hypotheses: this.hypotheses,
      sized: this.answers.sized,
      weights: this.weights,
      grids: this.#grids,
      readings,
    };
  }

  /** A wire that the body does not have says nothing of it. */
  #isOfThisBody(reading: AnyEvidence): boolean {
    return lanesIn(reading).every((lane) => this.#wires.includes(lane));
  }

  /** Of what a reading speaks of. */
  driveOf(reading: Pick<AnyEvidence, 'state'> & Parameters<typeof isOfCompanion>[0]): string {
    return this.isOfTemperature(reading) ? CELSIUS_DRIVE : driveOf(reading.state);
  }

  isOfTemperature(spot: Parameters<typeof isOfCompanion>[0]): boolean {
    return this.#companion?.kind === 'temperature' && isOfCompanion(spot);
  }

  /** What the quantity may be where a reading is taken. */
  gridFor(reading: Parameters<Weigher['driveOf']>[0], caseFile: CaseFile): QuantityGrid {
    const drive = this.driveOf(reading);
    let grid = this.#grids.get(drive);
    if (!grid) {
      grid =
        drive === CELSIUS_DRIVE
          ? celsiusGrid(caseFile.ambient?.airCelsius)
          : quantityGrid(reading.state, expectationContext(caseFile));
      this.#grids.set(drive, grid);
    }
    return grid;
  }

  /** What the sensor meets at each node, by sized hypothesis; and where that lies among the answers. */
  placesFor(reading: Parameters<Weigher['driveOf']>[0], caseFile: CaseFile): Places {
    const drive = this.driveOf(reading);
    const known = this.#places.get(drive);
    if (known) return known;
    const grid = this.gridFor(reading, caseFile);
    const ways =
      drive === CELSIUS_DRIVE
        ? [atTheNodes(grid)]
        : this.#ways.map((effects) => this.#metBy(effects, grid, reading, caseFile));
    const places = {
      ways,
      wayOf: drive === CELSIUS_DRIVE ? new Int32Array(this.#wayOf.length) : this.#wayOf,
    };
    this.#places.set(drive, places);
    return places;
  }

  #metBy(
    effects: readonly Effect[],
    { values, halfSteps }: QuantityGrid,
    { state }: Pick<AnyEvidence, 'state'>,
    { profile }: CaseFile,
  ): Met {
    const between = movesSensorItself(state) ? [] : effects;
    const atSource = between.filter(
      (effect) => effect.on === 'quantity' && effect.does === 'weakened' && effect.atSource,
    );
    const met = values.map((value) => valueMet(value, this.#restingValue, between));
    return {
      met,
      atSource: values.map((value) => valueMet(value, this.#restingValue, atSource)),
      placed: TOLERANCES.map(({ at }) =>
        met.map((value) => this.#placeOf(value + at * toleranceAt(value, profile))),
      ),
      beside: met.map((value, i) => Math.abs(this.#placeOf(value + halfSteps[i]!) - this.#placeOf(value))),
    };
  }

  #placeOf(value: number): number {
    return this.answers.placeOf(this.answers.soundVolts(value));
  }

  #likelihoodOf(reading: AnyEvidence, caseFile: CaseFile): Lists | undefined {
    const { state } = reading;
    const { profile, family } = caseFile;
    const places = this.placesFor(reading, caseFile);
    const answered = (spot: CircuitSpot, floor: number, likely: Likely): Lists => {
      const axis = this.isOfTemperature(reading) ? 'celsius' : 'quantity';
      return { floor, ...this.#listed(this.answers.at(spot, state, axis), places, likely) };
    };
    switch (reading.kind) {
      case 'gauge': {
        const measured = gaugeAgainstSensor(reading, profile.measures, caseFile.ambient, caseFile.gauge);
        if (!measured.ok) return undefined;
        const { value, expandedUncertainty } = measured.value;
        const { halfSteps } = this.gridFor(reading, caseFile);
        const span = 2 * (profile.highest - profile.lowest);
        const lists = places.ways.map(({ met, atSource }) => {
          const at = reading.tap === 'manifold' ? atSource : met;
          const list = at.map((predicted, node) => {
            const sigma = Math.hypot(expandedUncertainty / 2, halfSteps[node]! / SQRT_THREE);
            return gaugeLikelihood({ pressureKpa: value }, predicted, sigma, span);
          });
          return repeated(list);
        });
        return { lists, listOf: places.wayOf, floor: mistakenGauge(span) };
      }
      case 'ohms':
        // An ohmmeter on a live circuit says nothing.
        return keyOn(state)
          ? undefined
          : answered(reading, MISTAKEN_OHMS, (ohms) =>
              ohmsLikelihood(reading, ohms, acrossTheSensor(reading)),
            );
      case 'scan': {
        if (!keyOn(state) || reading.measures !== profile.measures) return undefined;
        const step = reading.step ?? liveDataStep(family, profile.measures);
        const shownBefore = isRepeat(reading, caseFile, step);
        return answered({ kind: 'scan' }, mistakenScan(profile), (volts, spread) =>
          scanLikelihood(reading, volts, spread, step, profile, shownBefore),
        );
      }
      case 'wire':
      case 'between': {
        const meter = (reading.kind === 'wire' && isPlain(reading) && reading.meter) || caseFile.meter;
        const sigma = fromLimits(meterLimitVolts(reading.volts, meter.accuracy));
        const nominal = profile.nominalReferenceVolts;
        return answered(reading, mistakenVolts(reading.volts, nominal), (volts, spread) =>
          voltsLikelihood(reading.volts, volts, sigma, spread, nominal),
        );
      }
    }
  }

  /** A list for each answer that differs, by itself or by what lies beside it. */
  #listed(
    { rows, rowOf }: AnswerTable,
    { ways, wayOf }: Places,
    likely: Likely,
  ): Pick<Lists, 'lists' | 'listOf'> {
    const lists: Float64Array[] = [];
    const numbers = new Map<number, number>();
    const listOf = Int32Array.from(this.answers.sized, ({ smaller, larger }, s) => {
      const [row, below, above, way] = [rowOf[s]!, rowOf[smaller]!, rowOf[larger]!, wayOf[s]!];
      const key = ((row * rows.length + below) * rows.length + above) * ways.length + way;
      const known = numbers.get(key);
      if (known !== undefined) return known;
      numbers.set(key, lists.length);
      return lists.push(listOver(rows[row]!, rows[below]!, rows[above]!, ways[way]!, likely)) - 1;
    });
    return { lists, listOf };
  }
}

const STANDARD_KPA = 101.325;
/** A recording is of no quantity in particular. */
const ONE_NODE: QuantityGrid = {
  values: new Float64Array(1),
  weights: new Float64Array([1]),
  halfSteps: new Float64Array(1),
};
const SQRT_THREE = Math.sqrt(3);

/** How likely a reading is where this is predicted, give or take what was not looked at. */
type Likely = (predicted: number, spread: number) => number;

export interface Met {
  /** At the sensor, and where a gauge at the source would be. */
  met: Float64Array;
  atSource: Float64Array;
  /** By tolerance and node: where the sound signal lies among the solved voltages; and half a step of the grid beside it. */
  placed: readonly Float64Array[];
  beside: Float64Array;
}

/** What is met in each of the ways that a hypothesis can change the quantity, and the way of each sized hypothesis. */
export interface Places {
  ways: readonly Met[];
  wayOf: Int32Array;
}

/** Temperatures are looked at where the circuit is solved for them. */
function atTheNodes({ values }: QuantityGrid): Met {
  const nodes = values.map((_, node) => node);
  return {
    met: values,
    atSource: values,
    placed: TOLERANCES.map(() => nodes),
    beside: new Float64Array(values.length).fill(0.5),
  };
}

/** The same for every tolerance: a gauge knows nothing of the sensor. */
function repeated(list: Float64Array): Float64Array {
  const all = new Float64Array(list.length * TOLERANCES.length);
  TOLERANCES.forEach((_, t) => all.set(list, t * list.length));
  return all;
}

/** Likelihoods along the tolerances and nodes of one answer, with the spread that comes from what lies between two quantities and two sizes that are looked at. */
function listOver(
  row: Float64Array,
  below: Float64Array,
  above: Float64Array,
  { placed, beside }: Met,
  likely: Likely,
): Float64Array {
  const nodes = beside.length;
  const list = new Float64Array(nodes * TOLERANCES.length);
  const last = row.length - 1;
  placed.forEach((places, t) => {
    for (let node = 0; node < nodes; node++) {
      const place = places[node]!;
      const predicted = between(row, place);
      const half = beside[node]!;
      const quantity = half > 0 ? between(row, Math.min(last, place + half)) - predicted : 0;
      const sizes = below === above ? 0 : (between(above, place) - between(below, place)) / 4;
      list[t * nodes + node] = likely(predicted, Math.hypot(quantity, sizes) / SQRT_THREE);
    }
  });
  return list;
}

/** The wires that a reading was taken on, with what was attached meanwhile. */
function lanesIn(reading: AnyEvidence): Lane[] {
  const points = (reading.state.harness?.attachments ?? []).flatMap((one) =>
    one.kind === 'voltage-source' ? [one.at] : [one.from, one.to],
  );
  if (reading.kind === 'between' || reading.kind === 'ohms') points.push(reading.from, reading.to);
  const lanes = points.flatMap((point) => (typeof point === 'string' ? [] : [point.lane]));
  return reading.kind === 'wire' ? [...lanes, reading.lane] : lanes;
}

/** Live data that an earlier reading showed already, to a step. */
const isRepeat = (reading: AnyEvidence, { readings }: CaseFile, step: number): boolean =>
  reading.kind === 'scan' &&
  readings
    .slice(
      0,
      Math.max(
        0,
        readings.findIndex(({ id }) => id === reading.id),
      ),
    )
    .some((one) => one.kind === 'scan' && Math.abs(one.value - reading.value) <= step);

/** Between pins of the sensor itself, with its plug off. */
const acrossTheSensor = ({ from, to }: OhmsReading): boolean =>
  [from, to].every((point) => typeof point !== 'string' && point.place === 'pin');

const isOfCompanion = (spot: Pick<AnyEvidence, 'kind'> & object): boolean =>
  'lane' in spot
    ? spot.lane === 'second-signal'
    : 'from' in spot && 'to' in spot
      ? [spot.from, spot.to].some(
          (point) =>
            typeof point === 'object' && point !== null && 'lane' in point && point.lane === 'second-signal',
        )
      : false;
