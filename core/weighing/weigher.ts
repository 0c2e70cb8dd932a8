import { isPlain, keyOn, type AnyEvidence, type Drive, type Lane } from '../evidence/index.ts';
import { effectsOf, valueMet, type Fault } from '../fault/index.ts';
import { liveDataStep } from '../family/index.ts';
import { expectationContext, gaugeAgainstSensor, type CaseFile } from '../reasoning/index.ts';
import { toleranceAt } from '../transfer/index.ts';
import { fromLimits, meterLimitVolts } from '../uncertainty/index.ts';
import { wiringFor } from '../wiring/index.ts';
import { Answers, type AnswerTable } from './answers.ts';
import { hypothesesFor, type Hypothesis } from './hypotheses.ts';
import { quantityGrid, type QuantityGrid } from './quantityGrid.ts';
import { gaugeLikelihood, ohmsLikelihood, scanLikelihood, voltsLikelihood } from './readingLikelihood.ts';
import { TOLERANCES, type WeighedCase, type WeighedReading } from './weighedCase.ts';

const driveOf = ({ engine, stimulus }: Drive): string => JSON.stringify([engine, stimulus]);

/** Weighs one sensor: what its circuit would show was worked out once, so that one more reading costs little. */
export class Weigher {
  readonly hypotheses: readonly Hypothesis[];
  readonly #answers: Answers;
  readonly #restingValue: number;

  constructor({ family, profile, companion, ambient }: CaseFile, wires: readonly Lane[]) {
    const sensor = { family, profile, companion, wires };
    this.hypotheses = hypothesesFor({ family, wiring: wiringFor(sensor) });
    this.#restingValue =
      profile.measures === 'absolute-pressure'
        ? (ambient?.pressureKpaAbs ?? STANDARD_KPA)
        : Math.max(profile.lowest, Math.min(0, profile.highest));
    this.#answers = new Answers(sensor, this.hypotheses, this.#restingValue);
  }

  /** Every reading of a job that the circuit, or the quantity itself, has something to say to. */
  caseOf(caseFile: CaseFile): WeighedCase {
    const context = expectationContext(caseFile);
    const grids = new Map<string, QuantityGrid>();
    const places = new Map<string, Places>();
    const readings = [...caseFile.readings, ...caseFile.isolation].flatMap((reading) => {
      const drive = driveOf(reading.state);
      let grid = grids.get(drive);
      if (!grid) {
        grid = quantityGrid(reading.state, context);
        grids.set(drive, grid);
        places.set(drive, this.#placesOf(grid, caseFile));
      }
      const likelihood = this.#likelihoodOf(reading, caseFile, grid, places.get(drive)!);
      return likelihood ? [{ id: reading.id, drive, likelihood }] : [];
    });
    return { hypotheses: this.hypotheses, grids, readings };
  }

  /** What the sensor meets at each node, by what a fault does to the quantity on its way; and where that lies among the answers. */
  #placesOf({ values, halfSteps }: QuantityGrid, { profile }: CaseFile): Places {
    const known = new Map<string, Met>();
    const metWith = (fault: Fault | undefined): Met => {
      const effects = fault ? effectsOf([fault]).filter(({ on }) => on === 'quantity') : [];
      const key = JSON.stringify(effects);
      const before = known.get(key);
      if (before) return before;
      const met = values.map((value) => valueMet(value, this.#restingValue, effects));
      const atSource = values.map((value) =>
        valueMet(
          value,
          this.#restingValue,
          effects.filter(
            (effect) => effect.on === 'quantity' && effect.does === 'weakened' && effect.atSource,
          ),
        ),
      );
      const placed = TOLERANCES.map(({ at }) =>
        met.map((value) => this.#placeOf(value + at * toleranceAt(value, profile))),
      );
      const beside = met.map((value, i) =>
        Math.abs(this.#placeOf(value + halfSteps[i]!) - this.#placeOf(value)),
      );
      const found = { met, atSource, placed, beside };
      known.set(key, found);
      return found;
    };
    return this.hypotheses.map(({ sizes }) => sizes.map(metWith));
  }

  #placeOf(value: number): number {
    return this.#answers.placeOf(this.#answers.soundVolts(value));
  }

  #likelihoodOf(
    reading: AnyEvidence,
    caseFile: CaseFile,
    grid: QuantityGrid,
    places: Places,
  ): WeighedReading['likelihood'] | undefined {
    const { state } = reading;
    const { profile, family } = caseFile;
    switch (reading.kind) {
      case 'gauge': {
        const measured = gaugeAgainstSensor(reading, profile.measures, caseFile.ambient, caseFile.gauge);
        if (!measured.ok) return undefined;
        const { value, expandedUncertainty } = measured.value;
        const span = profile.highest - profile.lowest;
        return (h, size, node) => {
          const { met, atSource } = places[h]![size]!;
          const at = reading.tap === 'manifold' ? atSource[node]! : met[node]!;
          const sigma = Math.hypot(expandedUncertainty / 2, grid.halfSteps[node]! / SQRT_THREE);
          return gaugeLikelihood({ pressureKpa: value }, at, sigma, 2 * span);
        };
      }
      case 'ohms': {
        // An ohmmeter on a live circuit says nothing.
        if (keyOn(state)) return undefined;
        const table = this.#answers.at(reading, state);
        return (h, size) => ohmsLikelihood(reading, Answers.between(table[h]!, size, 0));
      }
      case 'scan': {
        if (!keyOn(state) || reading.measures !== profile.measures) return undefined;
        const table = this.#answers.at({ kind: 'scan' }, state);
        const step = reading.step ?? liveDataStep(family, profile.measures);
        return (h, size, node, tolerance) => {
          const { volts, grid: around } = predicted(table, h, size, places[h]![size]!, node, tolerance);
          return scanLikelihood(reading, volts, around, step, profile);
        };
      }
      case 'wire':
      case 'between': {
        // What a temperature signal should be hangs on a temperature that is not summed over yet.
        if (caseFile.companion?.kind === 'temperature' && isOfCompanion(reading)) return undefined;
        const table = this.#answers.at(spotOf(reading), state);
        const meter = (reading.kind === 'wire' && isPlain(reading) && reading.meter) || caseFile.meter;
        const sigma = fromLimits(meterLimitVolts(reading.volts, meter.accuracy));
        return (h, size, node, tolerance) => {
          const { volts, grid: around } = predicted(table, h, size, places[h]![size]!, node, tolerance);
          return voltsLikelihood(reading.volts, volts, sigma, around);
        };
      }
    }
  }
}

const STANDARD_KPA = 101.325;
const SQRT_THREE = Math.sqrt(3);

interface Met {
  /** At the sensor, and where a gauge at the source would be. */
  met: Float64Array;
  atSource: Float64Array;
  /** By tolerance and node: where the sound signal lies among the solved voltages; and half a step of the grid beside it. */
  placed: readonly Float64Array[];
  beside: Float64Array;
}
/** By hypothesis and size. */
type Places = readonly (readonly Met[])[];

const spotOf = (reading: Extract<AnyEvidence, { kind: 'wire' | 'between' }>) =>
  reading.kind === 'wire'
    ? ({ kind: 'wire', lane: reading.lane, place: reading.place } as const)
    : ({ kind: 'between', from: reading.from, to: reading.to } as const);

const isOfCompanion = (reading: Extract<AnyEvidence, { kind: 'wire' | 'between' }>): boolean =>
  reading.kind === 'wire'
    ? reading.lane === 'second-signal'
    : [reading.from, reading.to].some((point) => typeof point !== 'string' && point.lane === 'second-signal');

/** A predicted voltage, and the spread that comes from what lies between two quantities and two sizes that are looked at. */
function predicted(
  tables: AnswerTable,
  hypothesis: number,
  size: number,
  { placed, beside }: Met,
  node: number,
  tolerance: number,
): { volts: number; grid: number } {
  const table = tables[hypothesis]!;
  const place = placed[tolerance]![node]!;
  const volts = Answers.between(table, size, place);
  const half = beside[node]!;
  const quantity = half > 0 ? Math.abs(Answers.between(table, size, place + half) - volts) : 0;
  const sizes = Answers.sizes(table);
  const sized =
    sizes > 1
      ? Math.abs(
          Answers.between(table, Math.min(sizes - 1, size + 1), place) -
            Answers.between(table, Math.max(0, size - 1), place),
        ) / 4
      : 0;
  return { volts, grid: Math.hypot(quantity, sized) / SQRT_THREE };
}
