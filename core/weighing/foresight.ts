import type { ObservationId } from '../observation/index.ts';
import type { CaseFile } from '../reasoning/index.ts';
import type { Candidate } from './candidates.ts';
import type { Decisions } from './decisions.ts';
import { observationLikelihood } from './observationLikelihood.ts';
import type { Posterior } from './posterior.ts';
import { MISTAKEN_SHARE } from './readingLikelihood.ts';
import type { Scale } from './scales.ts';
import { ANYTHING } from './shownSteps.ts';
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

/** How likely the values of a quantity are; those that hardly are left out. */
interface Spread {
  node: Int32Array;
  weight: Float64Array;
}

/** What is still possible: sized hypotheses with their shares. */
interface Possible {
  sized: Int32Array;
  share: Float64Array;
  /** Of the quantity: for each of them, or one for all where no reading tells them apart yet. */
  spreads: readonly Spread[];
}

/** Looks ahead from what is known: each reading that could be taken next, under everything that is still possible. */
export class Outlook {
  readonly #weigher: Weigher;
  readonly #caseFile: CaseFile;
  readonly #known: Posterior;
  readonly #decisions: Decisions;
  /** By sized hypothesis, whatever its place in the tolerance. */
  readonly #shares: Float64Array;
  /** By sized hypothesis. */
  readonly #decisionOf: Int32Array;
  readonly #ofDrive = new Map<string, Possible>();

  constructor(weigher: Weigher, caseFile: CaseFile, known: Posterior, decisions: Decisions) {
    this.#weigher = weigher;
    this.#caseFile = caseFile;
    this.#known = known;
    this.#decisions = decisions;
    this.#decisionOf = Int32Array.from(weigher.answers.sized, ({ hypothesis }) => decisions.of[hypothesis]!);
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
    const { scale, listOf, list } = this.#weigher.shownSteps({ target, state }, this.#caseFile);
    const sharp = this.#decisions.all.map(() => new Float64Array(scale.steps));
    const anything = new Float64Array(sharp.length);
    const add = (d: number, number: number, share: number, { node, weight }: Spread): void => {
      const row = sharp[d]!;
      const steps = list(number);
      for (let i = 0; i < node.length; i++) {
        const step = steps[node[i]!]!;
        if (step === ANYTHING) anything[d] = anything[d]! + share * weight[i]!;
        else row[step] = row[step]! + share * weight[i]!;
      }
    };
    const { sized, share, spreads } = this.#possible({ ...target, state });
    if (spreads.length > 1)
      sized.forEach((s, k) => add(this.#decisionOf[s]!, listOf[s]!, share[k]!, spreads[k]!));
    else {
      // Of one quantity all that answer alike are added up first: there are far fewer answers than hypotheses.
      const sums = this.#decisions.all.map(() => new Map<number, number>());
      sized.forEach((s, k) => {
        const of = sums[this.#decisionOf[s]!]!;
        of.set(listOf[s]!, (of.get(listOf[s]!) ?? 0) + share[k]!);
      });
      sums.forEach((of, d) => of.forEach((sum, number) => add(d, number, sum, spreads[0]!)));
    }
    return { scale, joint: sharp.map((row, d) => mistaken(blurred(row), anything[d]!)) };
  }

  #recording(): Foresight {
    const { sized } = this.#weigher.answers;
    const joint = this.#decisions.all.map(() => new Float64Array(SWEEP_OUTCOMES.length));
    sized.forEach((one, s) => {
      const row = joint[this.#decisionOf[s]!]!;
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
      const row = joint[this.#decisionOf[s]!]!;
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
    const sized = Int32Array.from(this.#shares.keys()).filter((s) => this.#shares[s]! >= NEGLIGIBLE);
    const possible = {
      sized,
      share: Float64Array.from(sized, (s) => this.#shares[s]!),
      spreads: products
        ? Array.from(sized, (s) => this.#spreadOf(s, products, weights.length))
        : [spreadOver(weights)],
    };
    this.#ofDrive.set(drive, possible);
    return possible;
  }

  /** Of the quantity under one sized hypothesis, over all places in the tolerance. */
  #spreadOf(s: number, products: Float64Array, nodes: number): Spread {
    const ofNodes = new Float64Array(nodes);
    for (let t = 0; t < T; t++) {
      const from = (s * T + t) * nodes;
      let sum = 0;
      for (let node = 0; node < nodes; node++) sum += products[from + node]!;
      const each = this.#known.sizedShares[s * T + t]! / (sum * this.#shares[s]!);
      for (let node = 0; node < nodes; node++) ofNodes[node] = ofNodes[node]! + each * products[from + node]!;
    }
    return spreadOver(ofNodes);
  }
}

function spreadOver(weights: Float64Array): Spread {
  const node: number[] = [];
  const weight: number[] = [];
  for (let at = 0; at < weights.length; at++)
    if (weights[at]! > LEAST_PART) {
      node.push(at);
      weight.push(weights[at]!);
    }
  return { node: Int32Array.from(node), weight: Float64Array.from(weight) };
}

/** As it should be, and not. */
const ANSWERS = [true, false] as const;
const TWO_ANSWERS: Scale = { steps: 2, stepOf: (step) => step, readAt: (step) => step };
const SWEEP_SCALE: Scale = { steps: SWEEP_OUTCOMES.length, stepOf: (step) => step, readAt: (step) => step };
/** Of a sized hypothesis: a value of the quantity this unlikely under it is left out. */
const LEAST_PART = 1e-4;

/** An instrument is not quite sure of its step. */
function blurred(sharp: Float64Array): Float64Array {
  const row = new Float64Array(sharp.length);
  sharp.forEach((weight, step) => {
    if (weight === 0) return;
    const below = step > 0 ? step - 1 : 0;
    const above = step < row.length - 1 ? step + 1 : step;
    row[below] = row[below]! + 0.25 * weight;
    row[step] = row[step]! + 0.5 * weight;
    row[above] = row[above]! + 0.25 * weight;
  });
  return row;
}

/** Now and then a reading is anything at all, and so is live data without its signal. */
function mistaken(row: Float64Array, anything: number): Float64Array {
  let asNoted = 0;
  for (let step = 0; step < row.length; step++) asNoted += row[step]!;
  if (asNoted === 0 && anything === 0) return row;
  const each = (MISTAKEN_SHARE * asNoted + anything) / row.length;
  for (let step = 0; step < row.length; step++) row[step] = (1 - MISTAKEN_SHARE) * row[step]! + each;
  return row;
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
