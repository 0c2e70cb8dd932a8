import { say, verbatim, type Message } from '../../../measure/message/index.ts';
import { complaintSaid } from '../../../record/code/index.ts';
import { isForetold, type AnyEvidence } from '../../../record/evidence/index.ts';
import { type CaseFile } from '../../checks/index.ts';
import { beforehandOf, type Beforehand } from '../outlook/beforehand.ts';
import { codesThatTell } from '../likelihood/codeEvidence.ts';
import type { Decisions } from '../posterior/decisions.ts';
import { decisionShares } from '../posterior/decisions.ts';
import { NOTHING } from '../hypotheses/hypotheses.ts';
import type { Standing } from '../gate/judgement.ts';
import { mistakenProbability } from '../posterior/mistaken.ts';
import { type Posterior } from '../posterior/posterior.ts';
import { sharesWithout } from '../posterior/sharesWithout.ts';
import { observationSaid, readingSaid, shownBy, shownOn } from './readingSaid.ts';
import { SWEEP_DRIVE } from '../likelihood/sweepLikelihood.ts';
import { lineSaid } from './lineSaid.ts';
import { TELEGRAM_DRIVE } from '../likelihood/telegramLikelihood.ts';
import type { WeighedCase, WeighedReading } from '../hypotheses/weighedCase.ts';
import type { Weigher } from '../likelihood/weigher.ts';

export type Strength = 'decides' | 'strong' | 'some';

/** What one reading says to one cause. */
export interface Statement {
  readingId: string;
  sentence: Message;
  strength: Strength;
  /** Times as likely with this cause as without it. */
  factor: number;
}

export interface Explanation {
  speaksFor: Statement[];
  speaksAgainst: Statement[];
}

/** A reading that the others make unlikely to be what it is noted as. */
export interface Doubtful {
  readingId: string;
  sentence: Message;
  probability: number;
}

const DECIDES = 30;
const STRONG = 6;
const SOME = 1.8;
const MOST_STATEMENTS = 5;

/** For one decision: which readings speak for it and which against, each in a sentence, the strongest first. */
export class Explainer {
  readonly #caseFile: CaseFile;
  readonly #decisions: Decisions;
  readonly #weighed: WeighedCase;
  readonly #known: Posterior;
  readonly #beforehand: Beforehand;
  readonly #all: Float64Array;
  readonly #without = new Map<string, Float64Array>();
  readonly #nothing: number;
  readonly #codes: ReturnType<typeof codesThatTell>;

  constructor(weigher: Weigher, caseFile: CaseFile, { weighed, decisions, posterior: known }: Standing) {
    this.#caseFile = caseFile;
    this.#decisions = decisions;
    this.#codes = codesThatTell(caseFile, weigher.wires);
    this.#nothing = decisions.all.findIndex(({ id }) => id === NOTHING);
    this.#weighed = weighed;
    this.#known = known;
    this.#all = decisionShares(decisions, known.shares);
    this.#beforehand = beforehandOf(weigher, caseFile, weighed, decisions);
  }

  of(decision: number): Explanation {
    const told = this.#weighed.readings
      .map((reading) => ({ reading, factor: this.#factor(reading, decision) }))
      .filter(({ factor }) => factor >= SOME || factor <= 1 / SOME)
      .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)))
      .map(({ reading, factor }): Statement => {
        const most = Math.max(factor, 1 / factor);
        const { sentence, tells } = this.#told(reading, decision, factor > 1);
        return {
          readingId: reading.id,
          sentence,
          // What would be so either way may tip the scales beside others; by itself it decides nothing.
          strength: !tells ? 'some' : most >= DECIDES ? 'decides' : most >= STRONG ? 'strong' : 'some',
          factor,
        };
      });
    return {
      speaksFor: told.filter(({ factor }) => factor > 1).slice(0, MOST_STATEMENTS),
      speaksAgainst: told.filter(({ factor }) => factor < 1).slice(0, MOST_STATEMENTS),
    };
  }

  /** The more telling of what it says by itself and what it says beside all others: either alone may be blind. */
  #factor(reading: WeighedReading, decision: number): number {
    const before = this.#beforehand;
    const alone = odds(before.aloneWith(reading)[decision]!) / odds(before.shares[decision]!);
    const beside = odds(this.#all[decision]!) / odds(this.#sharesWithout(reading)[decision]!);
    const usable = [alone, beside].filter((factor) => Number.isFinite(factor) && factor > 0);
    return usable.reduce((a, b) => (Math.abs(Math.log(b)) > Math.abs(Math.log(a)) ? b : a), 1);
  }

  #sharesWithout(reading: WeighedReading): Float64Array {
    const shares =
      this.#without.get(reading.id) ??
      decisionShares(this.#decisions, sharesWithout(reading, this.#known, this.#weighed));
    this.#without.set(reading.id, shares);
    return shares;
  }

  /** The sentence, and whether the reading tells this cause from a sound machine by itself. */
  #told(
    { id, drive }: WeighedReading,
    decision: number,
    speaksFor: boolean,
  ): { sentence: Message; tells: boolean } {
    const says = (sentence: Message, tells = true) => ({ sentence, tells });
    if (drive === SWEEP_DRIVE)
      return says(
        speaksFor ? say('weighing.recording-shows-would-show') : say('weighing.recording-does-not-show'),
      );
    if (drive === TELEGRAM_DRIVE) return says(lineSaid(this.#caseFile));
    const made = this.#caseFile.observations.find((one) => one.id === id);
    if (made) return says(observationSaid(made));
    const code = this.#codes.find((one) => one.id === id);
    if (code)
      return says(
        say('weighing.code-stored', { code: verbatim(code.code), complaint: complaintSaid(code.complaint) }),
      );
    const reading = evidenceOf(this.#caseFile, id);
    if (!reading) return says(say('weighing.withdrawn'));
    const what = readingSaid(reading, this.#caseFile);
    const would = this.#would(reading, decision);
    const sound = decision === this.#nothing ? undefined : this.#would(reading, this.#nothing);
    // Each claim is made only of a reading that bears it out.
    if (speaksFor) {
      if (would?.holds && sound?.holds)
        return says(say('weighing.as-with-nothing-wrong', { reading: what, would: would.said }), false);
      if (would?.holds && would.steps <= CLOSE_STEPS)
        return says(say('weighing.as-it-would-be', { reading: what, would: would.said }));
      return sound?.rulesOut
        ? says(say('weighing.sound-machine-would-show', { reading: what, sound: sound.said }))
        : says(say('weighing.is-read', { reading: what }), !sound?.holds);
    }
    if (would?.rulesOut)
      return says(say('weighing.with-this-it-would-be', { reading: what, would: would.said }));
    return would?.holds
      ? says(say('weighing.could-likelier-without', { reading: what }), false)
      : says(say('weighing.is-read', { reading: what }));
  }

  /** What the reading would be, were this the cause: its middle, or between what, where that is narrow enough to say anything. */
  #would(reading: AnyEvidence, decision: number): Prediction | undefined {
    if (!isForetold(reading)) return undefined;
    const { joint, scale } = this.#beforehand.foresightOf(reading);
    const row = joint[decision]!;
    const total = row.reduce((sum, weight) => sum + weight, 0);
    if (total <= 0) return undefined;
    const at = (share: number): number => {
      let sum = 0;
      for (let step = 0; step < row.length; step++) if ((sum += row[step]!) >= share * total) return step;
      return row.length - 1;
    };
    const [low, high] = [at(0.12), at(0.88)];
    if (high - low > BROAD_SHARE * scale.steps) return undefined;
    const shown = (step: number) => shownOn(reading.kind, scale.readAt(step), this.#caseFile);
    const reads = shownBy(reading, this.#caseFile);
    // A drop along one wire counts by its size, whichever lead was where.
    const steps = reads.map((one) => scale.stepOf(one));
    const middle = at(0.5);
    const holds = steps.some((step) => low - NEAR_STEPS <= step && step <= high + NEAR_STEPS);
    // Of a reading that lies at one edge "about the middle" would not be true.
    const nearMiddle = steps.some((step) => Math.abs(step - middle) <= NEAR_STEPS);
    return {
      said:
        high - low <= NARROW_STEPS && (nearMiddle || !holds)
          ? say('outcome.about', { value: shown(middle) })
          : say('outcome.between', { low: shown(low), high: shown(high) }),
      steps: high - low,
      holds,
      rulesOut:
        steps.length > 0 &&
        steps.every((step) => step < at(0.03) - NEAR_STEPS || step > at(0.97) + NEAR_STEPS),
    };
  }

  /** Readings that are more likely mistaken than not. */
  doubtful(known: Posterior): Doubtful[] {
    const { readings } = this.#weighed;
    if (readings.length < FEWEST_OTHERS + 1) return [];
    return readings.flatMap((reading) => {
      const probability = mistakenProbability(reading, this.#weighed, known);
      if (probability < DOUBTED) return [];
      const taken = evidenceOf(this.#caseFile, reading.id);
      if (!taken) return [];
      const others = readings.length - 1;
      return [
        {
          readingId: reading.id,
          probability,
          sentence: say('weighing.does-not-go-other-take', {
            reading: readingSaid(taken, this.#caseFile),
            others,
            kind: taken.kind,
          }),
        },
      ];
    });
  }
}

/** What a cause would show, beside what was read. */
interface Prediction {
  said: Message;
  steps: number;
  /** The reading is what it says, within what an instrument tells apart. */
  holds: boolean;
  /** The reading is outside nearly all that it could be. */
  rulesOut: boolean;
}

/** So near to a prediction a reading is what was predicted: a step is about an instrument's doubt. */
const NEAR_STEPS = 1;
const BROAD_SHARE = 0.45;
const NARROW_STEPS = 4;
/** In so few steps of its scale a prediction says something by itself. */
const CLOSE_STEPS = 14;
const DOUBTED = 0.7;
const FEWEST_OTHERS = 3;

const odds = (share: number): number => share / Math.max(1e-15, 1 - share);

const evidenceOf = ({ readings, isolation }: CaseFile, id: string): AnyEvidence | undefined =>
  [...readings, ...isolation].find((reading) => reading.id === id);
