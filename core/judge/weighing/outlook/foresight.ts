import { floats } from '../blocks.ts';
import type { Complaint } from '../../../record/code/index.ts';
import { CODE_LOOKS, isCodeLook, type PlainLookId } from '../../../record/observation/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { Candidate } from './candidates.ts';
import { comesBack, spokenOf } from '../likelihood/codeEvidence.ts';
import type { Decisions } from '../posterior/decisions.ts';
import { observationLikelihood } from '../likelihood/observationLikelihood.ts';
import type { Posterior } from '../posterior/posterior.ts';
import { MISTAKEN_SHARE } from '../likelihood/readingLikelihood.ts';
import type { Scale } from '../prediction/scales.ts';
import { ANYTHING, type ShownSteps } from '../prediction/shownSteps.ts';
import { LINE_SEEN } from '../../checks/index.ts';
import { TELEGRAM_DRIVE } from '../likelihood/telegramLikelihood.ts';
import { SWEEP_DRIVE, SWEEP_OUTCOMES, sweepLikelihood } from '../likelihood/sweepLikelihood.ts';
import { isAgainstBattery } from '../likelihood/aboutReadings.ts';
import { TOLERANCES, USUAL_MAKERS, type DriveProducts } from '../hypotheses/weighedCase.ts';
import { standsAlike } from './standsAlike.ts';
import type { Weigher } from '../likelihood/weigher.ts';

/** What a reading would show, by what is wrong. */
export interface Foresight {
  scale: Scale;
  /** By decision, then step of the scale: how likely both are together. All sum to one. */
  joint: readonly Float64Array[];
}

/** Below this a sized hypothesis, or a value of its quantity, has no say in what comes next. */
const NEGLIGIBLE = 1e-5;
/** All that is less than this, together, is little beside what is negligible. */
const NO_WEIGHT = 1e-9;
const T = TOLERANCES.length;

/**
 * Spreads weights evenly over what makers may show.
 *
 * @param weights by node
 * @param share   of them
 * @param edges   where a weight begins and, past its last step, ends
 * @returns what of it may show anything
 */
function spreadOver(
  pieces: readonly Int16Array[],
  weights: Float64Array,
  share: number,
  edges: Float64Array,
): number {
  let anything = 0;
  const part = share / (pieces.length - 1);
  for (let i = 1; i < pieces.length; i++) {
    const before = pieces[i - 1]!;
    const after = pieces[i]!;
    for (let node = 0; node < before.length; node++) {
      const weight = weights[node]!;
      if (weight < NO_WEIGHT) continue;
      const from = before[node]!;
      const to = after[node]!;
      if (from === ANYTHING || to === ANYTHING) {
        anything += part * weight;
        continue;
      }
      const low = from < to ? from : to;
      const past = (from < to ? to : from) + 1;
      const each = (part * weight) / (past - low);
      edges[low] = edges[low]! + each;
      edges[past] = edges[past]! - each;
    }
  }
  return anything;
}

/** Whatever the quantity is. */
const ONE_NODE: readonly Float64Array[] = [Float64Array.of(1)];

function hasWeight(sums: Float64Array, members: readonly number[]): boolean {
  for (let i = 0; i < members.length; i++) if (sums[members[i]!]! >= NO_WEIGHT) return true;
  return false;
}

/** By node, the weights of some of the tolerances. */
function addUp(
  sums: Float64Array,
  members: readonly number[],
  spread: readonly Float64Array[],
  into: Float64Array,
): void {
  if (spread.length === 1) {
    let sum = 0;
    for (let i = 0; i < members.length; i++) sum += sums[members[i]!]!;
    const nodes = spread[0]!;
    for (let node = 0; node < nodes.length; node++) into[node] = sum * nodes[node]!;
    return;
  }
  into.fill(0);
  for (let i = 0; i < members.length; i++) {
    const sum = sums[members[i]!]!;
    if (sum < NO_WEIGHT) continue;
    const nodes = spread[members[i]!]!;
    for (let node = 0; node < nodes.length; node++) into[node] = into[node]! + sum * nodes[node]!;
  }
}

/** What is still possible: sized hypotheses, and how likely each makes the values of a quantity. */
interface Possible {
  sized: Int32Array;
  /** By place in `sized`: those with the same number make the same of the quantity, but for the sensor's tolerance. */
  alikeOf: Int32Array;
  /** By that number, then tolerance; or one for every tolerance. */
  spreads: readonly (readonly Float64Array[])[];
}

/** Looks ahead from what is known: each reading that could be taken next, under everything that is still possible. */
export class Outlook {
  readonly #weigher: Weigher;
  readonly #caseFile: CaseFile;
  readonly #known: Posterior;
  readonly #decisions: Decisions;
  /** By sized hypothesis. */
  readonly #decisionOf: Int32Array;
  readonly #ofDrive = new Map<string, Possible>();

  constructor(weigher: Weigher, caseFile: CaseFile, known: Posterior, decisions: Decisions) {
    this.#weigher = weigher;
    this.#caseFile = caseFile;
    this.#known = known;
    this.#decisions = decisions;
    this.#decisionOf = Int32Array.from(weigher.answers.sized, ({ hypothesis }) => decisions.of[hypothesis]!);
  }

  /** By sized hypothesis, whatever its place in the tolerance. */
  #sharesIn(drive: string): Float64Array {
    const sizedShares = this.#known.sizedSharesIn(drive);
    return Float64Array.from(this.#weigher.answers.sized, (_, s) => {
      let share = 0;
      for (let t = 0; t < T; t++) share += sizedShares[s * T + t]!;
      return share;
    });
  }

  /** The predicted readings of a candidate. */
  at({ target, state }: Candidate): Foresight {
    if (target.kind === 'sweep') return this.#recording();
    if (target.kind === 'capture') return this.#capture();
    if (target.kind === 'observation')
      return isCodeLook(target.observation)
        ? this.#codes(CODE_LOOKS[target.observation])
        : this.#look(target.observation);
    const steps = this.#weigher.shownSteps({ target, state }, this.#caseFile);
    const { sharp, anything, nothing } = this.#shown(steps, { ...target, state });
    for (let d = 0; d < sharp.length; d++) {
      if (sharp[d] === nothing) continue;
      blur(sharp[d]!);
      mistake(sharp[d]!, anything[d]!);
    }
    return { scale: steps.scale, joint: sharp };
  }

  /** Before any doubt about the instrument: by decision and step, or nothing, and by decision whatever may be shown. */
  #shown(
    { scale, shownOf, shown }: ShownSteps,
    spoken: Parameters<Weigher['driveOf']>[0],
  ): { sharp: Float64Array[]; anything: Float64Array; nothing: Float64Array } {
    const nothing = new Float64Array(scale.steps);
    // Most decisions are hardly possible any more: they share one row.
    const sharp = this.#decisions.all.map(() => nothing);
    const edges: Float64Array[] = [];
    const anything = new Float64Array(sharp.length);
    const { sized, alikeOf, spreads } = this.#possible(spoken);
    const sizedShares = this.#known.sizedSharesIn(this.#weigher.driveOf(spoken));
    const sums = new Float64Array(T);
    const nodes = spreads[0]?.[0]?.length ?? 0;
    const ofStand = new Float64Array(nodes);
    const overall = new Float64Array(nodes);
    const offset = isAgainstBattery(spoken);
    const add = (s: number, alike: number): void => {
      const d = this.#decisionOf[s]!;
      const row = sharp[d] === nothing ? (sharp[d] = new Float64Array(scale.steps)) : sharp[d]!;
      const here = shown(shownOf[s]!);
      const others = here.pieces;
      const spread = here.isFlat ? ONE_NODE : spreads[alike]!;
      const usual = others ? USUAL_MAKERS : 1;
      if (others) overall.fill(0);
      const { supply, pull } = here.movesWith;
      const stands = standsAlike(supply, pull, offset);
      for (let i = 0; i < stands.length; i++) {
        const { stand, members } = stands[i]!;
        if (!hasWeight(sums, members)) continue;
        const steps = here.at(stand);
        // Over all nodes a spread sums to one.
        addUp(sums, members, spread, ofStand);
        for (let node = 0; node < steps.length; node++) {
          const weight = ofStand[node]!;
          if (weight < NO_WEIGHT) continue;
          if (others) overall[node] = overall[node]! + weight;
          const step = steps[node]!;
          if (step === ANYTHING) anything[d] = anything[d]! + usual * weight;
          else row[step] = row[step]! + usual * weight;
        }
      }
      if (others)
        anything[d] =
          anything[d]! +
          spreadOver(others, overall, 1 - usual, (edges[d] ??= new Float64Array(scale.steps + 1)));
      sums.fill(0);
    };
    // Neighbours that answer alike and make the same of the quantity are added up first: most sizes of a fault do.
    for (let k = 0; k < sized.length; k++) {
      const s = sized[k]!;
      for (let t = 0; t < T; t++) sums[t] = sums[t]! + sizedShares[s * T + t]!;
      const next = sized[k + 1];
      const goesOn =
        next !== undefined &&
        shownOf[next] === shownOf[s] &&
        alikeOf[k + 1] === alikeOf[k] &&
        this.#decisionOf[next] === this.#decisionOf[s];
      if (!goesOn) add(s, alikeOf[k]!);
    }
    edges.forEach((rises, d) => {
      const row = sharp[d]!;
      let between = 0;
      for (let step = 0; step < row.length; step++) {
        between += rises[step]!;
        row[step] = row[step]! + Math.max(0, between);
      }
    });
    return { sharp, anything, nothing };
  }

  /** A code stays away or comes back, by how sure the unit's reason for it would be. */
  #codes(complaint: Complaint): Foresight {
    const steps = this.#weigher.reasonSteps(complaint, this.#caseFile);
    const { sharp } = this.#shown(steps, spokenOf(complaint));
    const joint = sharp.map((row) => {
      let back = 0;
      let away = 0;
      row.forEach((weight, step) => {
        const often = comesBack(steps.scale.readAt(step));
        back += weight * often;
        away += weight * (1 - often);
      });
      return Float64Array.of(away, back);
    });
    return { scale: TWO_ANSWERS, joint };
  }

  #recording(): Foresight {
    const { sized } = this.#weigher.answers;
    const shares = this.#sharesIn(SWEEP_DRIVE);
    const joint = this.#decisions.all.map(() => new Float64Array(SWEEP_OUTCOMES.length));
    sized.forEach((one, s) => {
      const row = joint[this.#decisionOf[s]!]!;
      SWEEP_OUTCOMES.forEach((outcome, step) => {
        row[step] = row[step]! + shares[s]! * sweepLikelihood(outcome, one);
      });
    });
    return { scale: SWEEP_SCALE, joint };
  }

  #capture(): Foresight {
    const shares = this.#sharesIn(TELEGRAM_DRIVE);
    const joint = this.#decisions.all.map(() => new Float64Array(LINE_SEEN.length));
    LINE_SEEN.forEach((seen, step) => {
      const likelihoodOf = this.#weigher.lineLikelihood(seen, this.#caseFile);
      this.#weigher.answers.sized.forEach((one, s) => {
        const row = joint[this.#decisionOf[s]!]!;
        row[step] = row[step]! + shares[s]! * likelihoodOf(one, s);
      });
    });
    return { scale: LINE_SCALE, joint };
  }

  #look(id: PlainLookId): Foresight {
    const joint = this.#decisions.all.map(() => new Float64Array(ANSWERS.length));
    this.#weigher.hypotheses.forEach((hypothesis, h) => {
      const row = joint[this.#decisions.of[h]!]!;
      ANSWERS.forEach((holds, step) => {
        row[step] = row[step]! + this.#known.shares[h]! * observationLikelihood(id, holds, hypothesis);
      });
    });
    return { scale: TWO_ANSWERS, joint };
  }

  #possible(spoken: Parameters<Weigher['driveOf']>[0]): Possible {
    const drive = this.#weigher.driveOf(spoken);
    const before = this.#ofDrive.get(drive);
    if (before) return before;
    const { weights } = this.#weigher.gridFor(spoken, this.#caseFile);
    const known = this.#known.ofDrive.get(drive);
    const shares = this.#sharesIn(drive);
    const sized = Int32Array.from(shares.keys()).filter((s) => shares[s]! >= NEGLIGIBLE);
    const possible = known
      ? spreadsOf(sized, known)
      : { sized, alikeOf: new Int32Array(sized.length), spreads: [[weights]] };
    this.#ofDrive.set(drive, possible);
    return possible;
  }
}

/** Numbers anew those that are alike among what is still possible. */
function spreadsOf(sized: Int32Array, { products, sums, alikeOf }: DriveProducts): Possible {
  const spreads: Float64Array[][] = [];
  const numbers = new Map<number, number>();
  const of = sized.map((s) => {
    const alike = alikeOf[s]!;
    const known = numbers.get(alike);
    if (known !== undefined) return known;
    numbers.set(alike, spreads.length);
    const product = products[alike]!;
    const nodes = product.length / T;
    return (
      spreads.push(
        TOLERANCES.map((_, t) => {
          const spread = floats(nodes);
          const sum = sums[alike * T + t]!;
          for (let node = 0; node < nodes; node++) spread[node] = product[t * nodes + node]! / sum;
          return spread;
        }),
      ) - 1
    );
  });
  return { sized, alikeOf: of, spreads };
}

/** As it should be, and not. */
const ANSWERS = [true, false] as const;
const TWO_ANSWERS: Scale = { steps: 2, stepOf: (step) => step, readAt: (step) => step };
const LINE_SCALE: Scale = { steps: LINE_SEEN.length, stepOf: (step) => step, readAt: (step) => step };
const SWEEP_SCALE: Scale = { steps: SWEEP_OUTCOMES.length, stepOf: (step) => step, readAt: (step) => step };

/** An instrument is not quite sure of its step. */
function blur(row: Float64Array): void {
  const last = row.length - 1;
  let before = row[0]!;
  for (let step = 0; step <= last; step++) {
    const here = row[step]!;
    const after = step < last ? row[step + 1]! : here;
    row[step] = 0.25 * before + 0.5 * here + 0.25 * after;
    before = here;
  }
}

/** Now and then a reading is anything at all, and so is live data without its signal. */
function mistake(row: Float64Array, anything: number): void {
  const asNoted = sumOf(row);
  const each = (MISTAKEN_SHARE * asNoted + anything) / row.length;
  for (let step = 0; step < row.length; step++) row[step] = (1 - MISTAKEN_SHARE) * row[step]! + each;
}

/** A loop, since `reduce` takes several times as long. */
function sumOf(row: Float64Array): number {
  let sum = 0;
  for (let step = 0; step < row.length; step++) sum += row[step]!;
  return sum;
}

export interface Worth {
  /** Expected information about what to do, in bits. */
  bits: number;
  /** How likely it is that something else would lead after the reading. */
  mayChangeTheMind: number;
}

/** What a reading is worth to the decision. */
export function worthOf({ joint, scale }: Foresight): Worth {
  const rows = joint.map((row) => ({ row, share: sumOf(row) })).filter(({ share }) => share > NEGLIGIBLE);
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
