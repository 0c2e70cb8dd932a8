import type { ObservationId } from '../observation/index.ts';
import type { CaseFile } from '../reasoning/index.ts';
import { signalBand, valueAtNominal } from '../transfer/index.ts';
import { between } from './answers.ts';
import type { Candidate } from './candidates.ts';
import type { Decisions } from './decisions.ts';
import { observationLikelihood } from './observationLikelihood.ts';
import type { Posterior } from './posterior.ts';
import { MISTAKEN_SHARE } from './readingLikelihood.ts';
import { METER_SCALE, OHMS_SCALE, valueScale, type Scale } from './scales.ts';
import { SWEEP_OUTCOMES, sweepLikelihood } from './sweepLikelihood.ts';
import { TOLERANCES } from './weighedCase.ts';
import type { Weigher } from './weigher.ts';

/** What a reading would show, by what is wrong. */
export interface Foresight {
  scale: Scale;
  /** By decision, then step of the scale: how likely both are together. All sum to one. */
  joint: readonly Float64Array[];
}

/** Below this a sized hypothesis, or a value of its quantity, has no say in what comes next. */
const NEGLIGIBLE = 1e-5;
const T = TOLERANCES.length;
const MIDDLE = 1;
/** Of the range: as fine as live data and gauges are told apart. */
const VALUE_STEP_SHARE = 0.012;

/** What is still possible: sized hypotheses, each with a value of its quantity, and how likely both are. */
interface Possible {
  sized: Int32Array;
  node: Int32Array;
  weight: Float64Array;
}

/** Looks ahead from what is known: each reading that could be taken next, under everything that is still possible. */
export class Outlook {
  readonly #weigher: Weigher;
  readonly #caseFile: CaseFile;
  readonly #known: Posterior;
  readonly #decisions: Decisions;
  /** By sized hypothesis, whatever its place in the tolerance. */
  readonly #shares: Float64Array;
  readonly #ofDrive = new Map<string, Possible>();

  constructor(weigher: Weigher, caseFile: CaseFile, known: Posterior, decisions: Decisions) {
    this.#weigher = weigher;
    this.#caseFile = caseFile;
    this.#known = known;
    this.#decisions = decisions;
    this.#shares = Float64Array.from(weigher.answers.sized, (_, s) => {
      let share = 0;
      for (let t = 0; t < T; t++) share += known.sizedShares[s * T + t]!;
      return share;
    });
  }

  /** The predicted readings of a candidate. */
  at({ target, state }: Candidate): Foresight {
    if (target.kind === 'sweep') return this.#recording();
    if (target.kind === 'observation') return this.#look(target.observation);
    const weigher = this.#weigher;
    const spoken = { ...target, state };
    const { ways, wayOf } = weigher.placesFor(spoken, this.#caseFile);
    const { profile } = this.#caseFile;
    const scale = SCALES[target.kind] ?? valueScale(profile, VALUE_STEP_SHARE);
    const joint = this.#decisions.all.map(() => new Float64Array(scale.steps));
    const anything = new Float64Array(this.#decisions.all.length);
    const table =
      target.kind === 'gauge'
        ? undefined
        : weigher.answers.at(target, state, weigher.isOfTemperature(target) ? 'celsius' : 'quantity');
    const { sized, node, weight } = this.#possible(spoken);
    for (let i = 0; i < sized.length; i++) {
      const s = sized[i]!;
      const d = this.#decisions.of[weigher.answers.sized[s]!.hypothesis]!;
      const way = ways[wayOf[s]!]!;
      const at = node[i]!;
      if (!table) {
        const met = target.kind === 'gauge' && target.tap === 'manifold' ? way.atSource : way.met;
        spread(joint[d]!, scale.stepOf(met[at]!), weight[i]!);
        continue;
      }
      const volts = between(table.rows[table.rowOf[s]!]!, way.placed[MIDDLE]![at]!);
      if (target.kind !== 'scan') {
        spread(joint[d]!, scale.stepOf(volts), weight[i]!);
        continue;
      }
      const band = signalBand(volts, profile.nominalReferenceVolts, profile);
      // A lost signal may show anything.
      if (band === 'circuit-low' || band === 'circuit-high') anything[d] = anything[d]! + weight[i]!;
      else spread(joint[d]!, scale.stepOf(valueAtNominal(volts, profile)), weight[i]!);
    }
    joint.forEach((row, d) => mistaken(row, anything[d]!));
    return { scale, joint };
  }

  #recording(): Foresight {
    const { sized } = this.#weigher.answers;
    const joint = this.#decisions.all.map(() => new Float64Array(SWEEP_OUTCOMES.length));
    sized.forEach((one, s) => {
      const row = joint[this.#decisions.of[one.hypothesis]!]!;
      SWEEP_OUTCOMES.forEach((outcome, step) => {
        row[step] = row[step]! + this.#shares[s]! * sweepLikelihood(outcome, one);
      });
    });
    return { scale: SWEEP_SCALE, joint };
  }

  #look(id: ObservationId): Foresight {
    const { sized } = this.#weigher.answers;
    const joint = this.#decisions.all.map(() => new Float64Array(ANSWERS.length));
    sized.forEach(({ hypothesis }, s) => {
      const row = joint[this.#decisions.of[hypothesis]!]!;
      ANSWERS.forEach((holds, step) => {
        const likelihood = observationLikelihood(id, holds, this.#weigher.hypotheses[hypothesis]!);
        row[step] = row[step]! + this.#shares[s]! * likelihood;
      });
    });
    return { scale: TWO_ANSWERS, joint };
  }

  #possible(spoken: Parameters<Weigher['driveOf']>[0]): Possible {
    const drive = this.#weigher.driveOf(spoken);
    const before = this.#ofDrive.get(drive);
    if (before) return before;
    const { weights } = this.#weigher.gridFor(spoken, this.#caseFile);
    const products = this.#known.ofDrive.get(drive);
    const { sizedShares } = this.#known;
    const found = { sized: [] as number[], node: [] as number[], weight: [] as number[] };
    const ofNodes = new Float64Array(weights.length);
    this.#shares.forEach((share, s) => {
      if (share < NEGLIGIBLE) return;
      if (!products) ofNodes.set(weights.map((weight) => share * weight));
      else {
        ofNodes.fill(0);
        for (let t = 0; t < T; t++) {
          const from = (s * T + t) * weights.length;
          let sum = 0;
          for (let node = 0; node < weights.length; node++) sum += products[from + node]!;
          const each = sizedShares[s * T + t]! / sum;
          for (let node = 0; node < weights.length; node++)
            ofNodes[node] = ofNodes[node]! + each * products[from + node]!;
        }
      }
      ofNodes.forEach((weight, node) => {
        if (weight <= LEAST_PART * share) return;
        found.sized.push(s);
        found.node.push(node);
        found.weight.push(weight);
      });
    });
    const possible = {
      sized: Int32Array.from(found.sized),
      node: Int32Array.from(found.node),
      weight: Float64Array.from(found.weight),
    };
    this.#ofDrive.set(drive, possible);
    return possible;
  }
}

/** As it should be, and not. */
const ANSWERS = [true, false] as const;
const TWO_ANSWERS: Scale = { steps: 2, stepOf: (step) => step, readAt: (step) => step };
const SWEEP_SCALE: Scale = { steps: SWEEP_OUTCOMES.length, stepOf: (step) => step, readAt: (step) => step };
const SCALES: Readonly<Partial<Record<Candidate['target']['kind'], Scale>>> = {
  wire: METER_SCALE,
  between: METER_SCALE,
  ohms: OHMS_SCALE,
};

/** Of a sized hypothesis: a value of the quantity this unlikely under it is left out. */
const LEAST_PART = 1e-4;

/** An instrument is not quite sure of its step. */
function spread(row: Float64Array, step: number, weight: number): void {
  const below = step > 0 ? step - 1 : 0;
  const above = step < row.length - 1 ? step + 1 : step;
  row[below] = row[below]! + 0.25 * weight;
  row[step] = row[step]! + 0.5 * weight;
  row[above] = row[above]! + 0.25 * weight;
}

/** Now and then a reading is anything at all, and so is live data without its signal. */
function mistaken(row: Float64Array, anything: number): void {
  let asNoted = 0;
  for (let step = 0; step < row.length; step++) asNoted += row[step]!;
  if (asNoted === 0 && anything === 0) return;
  const each = (MISTAKEN_SHARE * asNoted + anything) / row.length;
  for (let step = 0; step < row.length; step++) row[step] = (1 - MISTAKEN_SHARE) * row[step]! + each;
}

export interface Worth {
  /** Expected information about what to do, in bits. */
  bits: number;
  /** How likely it is that something else would lead after the reading. */
  mayChangeTheMind: number;
}

/** What a reading is worth to the decision. */
export function worthOf({ joint, scale }: Foresight): Worth {
  const rows = joint
    .map((row) => ({ row, share: row.reduce((sum, weight) => sum + weight, 0) }))
    .filter(({ share }) => share > NEGLIGIBLE);
  const leader = rows.reduce((a, b) => (b.share > a.share ? b : a));
  let bits = 0;
  let changes = 0;
  for (let step = 0; step < scale.steps; step++) {
    let overall = 0;
    let most = 0;
    for (const { row } of rows) {
      overall += row[step]!;
      if (row[step]! > most) most = row[step]!;
    }
    if (overall <= 0) continue;
    if (leader.row[step]! < most) changes += overall;
    for (const { row, share } of rows) {
      const both = row[step]!;
      if (both > 0) bits += both * Math.log2(both / (overall * share));
    }
  }
  return { bits, mayChangeTheMind: changes };
}
