import { type Foretold } from '../../../record/evidence/index.ts';
import { spotOf } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { decisionShares, type Decisions } from '../posterior/decisions.ts';
import { Outlook, type Foresight } from './foresight.ts';
import { posterior } from '../posterior/posterior.ts';
import type { ProductsKept, WeighedCase, WeighedReading } from '../hypotheses/weighedCase.ts';
import type { Weigher } from '../likelihood/weigher.ts';

/** What stands before anything is read, and what each reading says by itself: neither changes while a job goes on. */
export class Beforehand {
  readonly #bare: WeighedCase;
  readonly #decisions: Decisions;
  readonly #outlook: Outlook;
  /** By decision. */
  readonly shares: Float64Array;
  readonly #alone = new WeakMap<WeighedReading['lists'], Float64Array>();
  readonly #foresights = new Map<string, Foresight>();

  constructor(weigher: Weigher, caseFile: CaseFile, weighed: WeighedCase, decisions: Decisions) {
    this.#bare = { ...weighed, readings: [], kept: undefined };
    this.#decisions = decisions;
    const nothingRead = posterior(this.#bare);
    this.shares = decisionShares(decisions, nothingRead.shares);
    this.#outlook = new Outlook(weigher, caseFile, nothingRead, decisions);
  }

  /** Whether it is of these hypotheses, with these starting weights. */
  isOf({ hypotheses }: WeighedCase): boolean {
    return this.#bare.hypotheses === hypotheses;
  }

  /** Shares of the decisions, were this the only reading. */
  aloneWith(reading: WeighedReading): Float64Array {
    const known = this.#alone.get(reading.lists);
    if (known) return known;
    const { shares } = posterior({ ...this.#bare, readings: [reading] });
    const alone = decisionShares(this.#decisions, shares);
    this.#alone.set(reading.lists, alone);
    return alone;
  }

  /** What a reading like this would show, by decision. */
  foresightOf(reading: Foretold): Foresight {
    const { state } = reading;
    const target = spotOf(reading);
    const key = JSON.stringify([target, state]);
    const known = this.#foresights.get(key) ?? this.#outlook.at({ target, state });
    this.#foresights.set(key, known);
    return known;
  }
}

const kept = new WeakMap<ProductsKept, Beforehand>();

/** The one of a job, as long as its context and its starting weights stay. */
export function beforehandOf(
  weigher: Weigher,
  caseFile: CaseFile,
  weighed: WeighedCase,
  decisions: Decisions,
): Beforehand {
  const known = weighed.kept && kept.get(weighed.kept);
  if (known?.isOf(weighed)) return known;
  const made = new Beforehand(weigher, caseFile, weighed, decisions);
  if (weighed.kept) kept.set(weighed.kept, made);
  return made;
}
