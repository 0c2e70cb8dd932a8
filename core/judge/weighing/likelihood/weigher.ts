import type { Companion } from '../../../measure/companion/index.ts';
import { sentIn } from '../../../measure/transfer/index.ts';
import { SEA_LEVEL_KPA } from '../../../measure/quantity/index.ts';
import { lanesIn, type AnyEvidence, type WireReading } from '../../../record/evidence/index.ts';
import { type Lane, type MachineState, type Spot } from '../../../machine/places/index.ts';
import { effectsOf, isOnTheWay, type Effect } from '../../../machine/fault/index.ts';
import { CODE_LOOKS, isCodeLook } from '../../../record/observation/index.ts';
import type { Complaint } from '../../../record/code/index.ts';
import { liveDataStep } from '../../../machine/family/index.ts';
import { expectationContext, lineSeen, type CaseFile, type LineSeen } from '../../checks/index.ts';
import { isUsual, usualPriors } from '../../priors/index.ts';
import { wiringFor } from '../../../machine/wiring/index.ts';
import { toldBy, isOnSecondSignal, isRepeat, mayBeOnPinOfAnother, type Spoken } from './aboutReadings.ts';
import { Answers, type AnswerTable, type Axis } from '../prediction/circuitAnswers.ts';
import type { CircuitSpot } from '../prediction/circuitSpot.ts';
import { CODES_READ_IN, codesThatTell, spokenOf, seenSpot } from './codeEvidence.ts';
import { foundStored, readAgain, reasonsOver } from './reasonLists.ts';
import { reasonSteps } from './reasonScale.ts';
import { celsiusGrid, CELSIUS_DRIVE, driveOf } from '../prediction/drives.ts';
import { hypothesesFor, underStartingWeights, type Hypothesis } from '../hypotheses/hypotheses.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import { changingAmong, type Changing } from '../hypotheses/unlisted.ts';
import { listsOver } from './lists.ts';
import { noticedWeights } from '../prediction/noticed.ts';
import { LOOKED_DRIVE, observationReading } from './observationLikelihood.ts';
import { amongTemperatures, metBy, type Places } from '../prediction/places.ts';
import { quantityGrid, type QuantityGrid } from '../hypotheses/quantityGrid.ts';
import { shownAlready } from './readAgain.ts';
import { readingLists } from './readingLists.ts';
import { type ShownSteps } from '../prediction/shownSteps.ts';
import { stepsOfAnswers } from '../prediction/stepsOfAnswers.ts';
import { stepsBesideCircuit } from '../prediction/stepsBesideCircuit.ts';
import { SWEEP_DRIVE, sweepOutcome, sweepReading } from './sweepLikelihood.ts';
import { lineLikelihood, lineReading, sentLikelihood, TELEGRAM_DRIVE } from './telegramLikelihood.ts';
import type { ProductsKept, WeighedCase, WeighedReading } from '../hypotheses/weighedCase.ts';

type Lists = Pick<WeighedReading, 'lists' | 'listOf' | 'floor'>;

/** Weighs one sensor: what its circuit would show was worked out once, so that one more reading costs little. */
export class Weigher {
  readonly hypotheses: readonly Hypothesis[];
  readonly answers: Answers;
  /** By sized hypothesis. */
  readonly weights: Float64Array;
  readonly #changing: readonly Changing[];
  readonly #restingValue: number;
  /** By sized hypothesis, what it does to the quantity, as the number of one of the ways. */
  readonly #wayOf: Int32Array;
  readonly #ways: readonly (readonly Effect[])[];
  readonly wires: readonly Lane[];
  readonly #companion: CaseFile['companion'];
  /** Of the context in which they were last asked for; likelihoods of a reading stay while it does. */
  #context = '';
  readonly #grids = new Map<string, QuantityGrid>();
  readonly #places = new Map<string, Places>();
  readonly #likelihoods = new Map<string, Lists | undefined>();
  /** One for each context, by which others know it too. */
  #products: ProductsKept = new Map();
  #starting: { of: string; hypotheses: readonly Hypothesis[] } | undefined;
  readonly #shown = new Map<string, ShownSteps>();
  readonly #reasons = new Map<string, ReturnType<typeof reasonsOver>>();

  constructor({ family, profile, companion, ambient }: CaseFile, wires: readonly Lane[]) {
    const sensor = { family, profile, companion, wires };
    this.#companion = companion;
    this.wires = wires;
    this.hypotheses = hypothesesFor({ family, wiring: wiringFor(sensor) });
    this.#restingValue =
      profile.measures === 'absolute-pressure'
        ? Math.round(ambient?.pressureKpaAbs ?? SEA_LEVEL_KPA)
        : Math.max(profile.lowest, Math.min(0, profile.highest));
    this.answers = new Answers(sensor, this.hypotheses, this.#restingValue);
    this.weights = noticedWeights(
      this.answers,
      this.hypotheses,
      profile.nominalReferenceVolts,
      companion && wires.includes('second-signal') ? axisOf(companion) : undefined,
    );
    this.#changing = changingAmong(this.hypotheses, this.answers.sized);
    const ways = new Map<string, { number: number; effects: readonly Effect[] }>();
    this.#wayOf = Int32Array.from(this.answers.sized, ({ fault }) => {
      const effects = fault ? effectsOf([fault]).filter(isOnTheWay) : [];
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
      for (const kept of [this.#grids, this.#places, this.#likelihoods, this.#shown, this.#reasons])
        kept.clear();
      this.#products = new Map();
      this.#grids.set(SWEEP_DRIVE, ONE_NODE);
      this.#grids.set(LOOKED_DRIVE, ONE_NODE);
      this.#grids.set(TELEGRAM_DRIVE, ONE_NODE);
    }
    const all = [...caseFile.readings, ...caseFile.isolation].filter((reading) =>
      this.#isOfThisBody(reading),
    );
    // What the unit says comes first and readings one by one after it, so that what was worked out before stands.
    const told = this.#toldByUnit(caseFile);
    const read = all.flatMap((reading) => {
      const drive = this.driveOf(reading);
      this.gridFor(reading, caseFile);
      // Two readings that show the same say the same.
      const { id: _id, ...said } = reading;
      const key = JSON.stringify([
        said,
        isRepeat(reading, caseFile, liveDataStep(family, profile.measures)),
        mayBeOnPinOfAnother(reading, caseFile),
        firstSeen(reading, caseFile),
        reading.kind === 'wire' && shownAlready(reading, caseFile).map((one) => actSaid(one, caseFile)),
      ]);
      if (!this.#likelihoods.has(key)) this.#likelihoods.set(key, this.#likelihoodOf(reading, caseFile));
      const lists = this.#likelihoods.get(key);
      return lists ? [{ id: reading.id, drive, ...lists }] : [];
    });
    const readings = [...told, ...read];
    for (const { id, observation, holds } of caseFile.observations)
      if (!isCodeLook(observation))
        readings.push(observationReading({ id, observation, holds }, this.hypotheses, this.answers.sized));
    const seen = sweepOutcome(caseFile);
    if (seen) readings.push(sweepReading(seen, this.answers.sized));
    const line = lineSeen(caseFile);
    if (line) readings.push(lineReading(this.answers.sized, this.lineLikelihood(line, caseFile)));
    return {
      hypotheses: this.#hypothesesUnder(caseFile),
      sized: this.answers.sized,
      weights: this.weights,
      changing: this.#changing,
      grids: this.#grids,
      readings,
      kept: this.#products,
    };
  }

  /** How likely a fast capture shows that of the line, for each thing that may be wrong. */
  lineLikelihood(
    seen: LineSeen,
    { profile }: Pick<CaseFile, 'profile'>,
  ): (one: SizedHypothesis, sized: number) => number {
    const of = ({ hypothesis }: SizedHypothesis) => this.hypotheses[hypothesis]!;
    const sends = sentIn(profile);
    if (!sends) return (one) => lineLikelihood(seen, one, of(one).unlisted === 'sensor');
    const { rows, rowOf } = this.answers.at({ kind: 'telegrams' }, CODES_READ_IN);
    return (one, s) => sentLikelihood(seen, sends, rows[rowOf[s]!]!.reads[0] === 1, of(one));
  }

  #hypothesesUnder({ family, starting }: CaseFile): readonly Hypothesis[] {
    if (isUsual(starting)) return this.hypotheses;
    const of = JSON.stringify(starting);
    if (this.#starting?.of !== of)
      this.#starting = {
        of,
        hypotheses: underStartingWeights(this.hypotheses, usualPriors(family), starting),
      };
    return this.#starting.hypotheses;
  }

  /** Codes that were found, and those that came back or stayed away once cleared. */
  #toldByUnit(caseFile: CaseFile): WeighedReading[] {
    return [
      ...codesThatTell(caseFile, this.wires).map(({ id, complaint }) =>
        this.#codeFound(id, complaint, caseFile),
      ),
      ...caseFile.observations.flatMap(({ id, observation, holds }) =>
        isCodeLook(observation) ? [this.#codeReadAgain(id, holds, CODE_LOOKS[observation], caseFile)] : [],
      ),
    ];
  }

  /** A wire that the body does not have says nothing of it. */
  #isOfThisBody(reading: AnyEvidence): boolean {
    return lanesIn(reading).every((lane) => this.wires.includes(lane));
  }

  /** Of what a reading speaks of. */
  driveOf(reading: Pick<AnyEvidence, 'state'> & Spoken): string {
    return this.isOfTemperature(reading) ? CELSIUS_DRIVE : driveOf(reading.state);
  }

  isOfTemperature(spot: Spoken): boolean {
    return this.#companion?.kind === 'temperature' && isOnSecondSignal(spot);
  }

  #axisOf(spot: Spoken): Axis {
    return this.isOfTemperature(spot) ? 'celsius' : 'quantity';
  }

  /** What the quantity may be where a reading is taken. */
  gridFor(reading: Spoken & Pick<AnyEvidence, 'state'>, caseFile: CaseFile): QuantityGrid {
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
  placesFor(reading: Spoken & Pick<AnyEvidence, 'state'>, caseFile: CaseFile): Places {
    const drive = this.driveOf(reading);
    const known = this.#places.get(drive);
    if (known) return known;
    const grid = this.gridFor(reading, caseFile);
    const ways =
      drive === CELSIUS_DRIVE
        ? [amongTemperatures(grid)]
        : this.#ways.map((effects) =>
            metBy(effects, grid, reading.state, caseFile.profile, this.#restingValue, this.answers),
          );
    const places = {
      ways,
      wayOf: drive === CELSIUS_DRIVE ? new Int32Array(this.#wayOf.length) : this.#wayOf,
    };
    this.#places.set(drive, places);
    return places;
  }

  /** What the unit sees that may make it complain, and where that lies among the answers. */
  #seenByUnit(complaint: Complaint, caseFile: CaseFile): [AnswerTable, Places] {
    const spoken = spokenOf(complaint);
    return [
      this.answers.at(seenSpot(complaint), CODES_READ_IN, this.#axisOf(spoken)),
      this.placesFor(spoken, caseFile),
    ];
  }

  #reasonsFor(complaint: Complaint, caseFile: CaseFile): ReturnType<typeof reasonsOver> {
    const key = complaintKey(complaint);
    const seen = this.#seenByUnit(complaint, caseFile);
    const reasons = this.#reasons.get(key) ?? reasonsOver(complaint, caseFile, ...seen, this.answers.sized);
    this.#reasons.set(key, reasons);
    return reasons;
  }

  #codeReadAgain(id: string, holds: boolean, complaint: Complaint, caseFile: CaseFile): WeighedReading {
    const key = `${complaintKey(complaint)} ${holds}`;
    const lists = this.#likelihoods.get(key) ?? readAgain(this.#reasonsFor(complaint, caseFile), holds);
    this.#likelihoods.set(key, lists);
    return { id, drive: this.driveOf(spokenOf(complaint)), ...lists };
  }

  #codeFound(id: string, complaint: Complaint, caseFile: CaseFile): WeighedReading {
    const key = `${complaintKey(complaint)} stored`;
    const lists =
      this.#likelihoods.get(key) ??
      foundStored(this.#reasonsFor(complaint, caseFile), this.answers.sized, this.hypotheses);
    this.#likelihoods.set(key, lists);
    return { id, drive: this.driveOf(spokenOf(complaint)), ...lists };
  }

  /** The reason for a code that the unit would have in each case. */
  reasonSteps(complaint: Complaint, caseFile: CaseFile): ShownSteps {
    const known = this.#shown.get(complaintKey(complaint));
    if (known) return known;
    const steps = reasonSteps(complaint, caseFile, ...this.#seenByUnit(complaint, caseFile));
    this.#shown.set(complaintKey(complaint), steps);
    return steps;
  }

  /** What a reading would show in each case, whether it is likely or not. */
  shownSteps({ target, state }: { target: Spot; state: MachineState }, caseFile: CaseFile): ShownSteps {
    const key = JSON.stringify([target, state]);
    const known = this.#shown.get(key);
    if (known) return known;
    const spoken = { ...target, state };
    const places = this.placesFor(spoken, caseFile);
    const steps =
      target.kind === 'gauge' || target.kind === 'engine-flow'
        ? stepsBesideCircuit(target, places, caseFile.profile)
        : stepsOfAnswers(
            target.kind,
            this.answers.at(target, state, this.#axisOf(target)),
            places,
            caseFile.profile,
          );
    this.#shown.set(key, steps);
    return steps;
  }

  #likelihoodOf(reading: AnyEvidence, caseFile: CaseFile): Lists | undefined {
    const places = this.placesFor(reading, caseFile);
    const at = (spot: CircuitSpot) => this.answers.at(spot, reading.state, this.#axisOf(reading));
    const answered: Parameters<typeof readingLists>[1]['answered'] = (
      spot,
      likely,
      { seen, ...known } = {},
    ) =>
      listsOver(at(spot), places, this.answers.sized, likely, {
        ...known,
        seen: seen && { ...seen, volts: seen.at.volts, table: at(seen.at) },
      });
    return readingLists(reading, { caseFile, grid: this.gridFor(reading, caseFile), places, answered });
  }
}

const axisOf = ({ kind }: Companion): Axis => (kind === 'temperature' ? 'celsius' : 'quantity');

/** What is gone by of another reading of a wire. */
const actSaid = (one: WireReading, caseFile: CaseFile): unknown => [
  one.place,
  one.volts,
  one.meter,
  mayBeOnPinOfAnother(one, caseFile),
];

/** Of the reading that another one goes by: what it showed, and where. */
function firstSeen(reading: AnyEvidence, caseFile: CaseFile): unknown {
  if (reading.kind !== 'wire' && reading.kind !== 'scan') return undefined;
  const first = toldBy(reading, caseFile);
  return first && actSaid(first, caseFile);
}

const complaintKey = ({ about, reads }: Complaint): string => `${about} ${reads}`;

/** A recording is of no quantity in particular, nor is a look. */
const ONE_NODE: QuantityGrid = {
  values: new Float64Array(1),
  weights: new Float64Array([1]),
  halfSteps: new Float64Array(1),
};
