import type { CauseId } from './causes.ts';
import type { CheckId, OutcomeOf } from './checks.ts';

type Row<Id extends CheckId> = Readonly<Record<OutcomeOf<Id>, number>>;
type Table = { [Id in CheckId]: { otherwise: Row<Id>; given: Partial<Record<CauseId, Row<Id>>> } };

/**
 * How often each answer turns up when a cause is true. Our own estimates, common practice at best, until the circuit
 * model replaces them. No entry is zero: a slipped probe must never decide a case by itself.
 */
export const LIKELIHOOD: Table = {
  'reference-at-plug': {
    otherwise: { normal: 0.95, low: 0.03, missing: 0.01, high: 0.01 },
    given: {
      'reference-open': { normal: 0.02, low: 0.12, missing: 0.85, high: 0.01 },
      'reference-supply': { normal: 0.05, low: 0.42, missing: 0.43, high: 0.1 },
      'sensor-loads-reference': { normal: 0.02, low: 0.55, missing: 0.42, high: 0.01 },
    },
  },
  'reference-at-unit': {
    otherwise: { normal: 0.95, low: 0.03, missing: 0.01, high: 0.01 },
    given: {
      'reference-supply': { normal: 0.04, low: 0.43, missing: 0.43, high: 0.1 },
      'sensor-loads-reference': { normal: 0.04, low: 0.54, missing: 0.41, high: 0.01 },
    },
  },
  'reference-unplugged': {
    otherwise: { normal: 0.95, low: 0.03, missing: 0.01, high: 0.01 },
    given: {
      'reference-open': { normal: 0.06, low: 0.08, missing: 0.85, high: 0.01 },
      'reference-supply': { normal: 0.06, low: 0.42, missing: 0.42, high: 0.1 },
    },
  },
  'return-at-plug': {
    otherwise: { 'near-zero': 0.98, raised: 0.01, floating: 0.01 },
    given: {
      'return-resistance': { 'near-zero': 0.02, raised: 0.6, floating: 0.38 },
      'unit-ground': { 'near-zero': 0.03, raised: 0.92, floating: 0.05 },
    },
  },
  'return-at-unit': {
    otherwise: { 'near-zero': 0.97, raised: 0.03 },
    given: { 'unit-ground': { 'near-zero': 0.03, raised: 0.97 } },
  },
  'signal-koeo': {
    otherwise: { ambient: 0.94, shifted: 0.03, 'shifted-by-return': 0.01, low: 0.01, high: 0.01 },
    given: {
      'reference-open': { ambient: 0.01, shifted: 0.08, 'shifted-by-return': 0.01, low: 0.85, high: 0.05 },
      'reference-supply': { ambient: 0.1, shifted: 0.34, 'shifted-by-return': 0.01, low: 0.5, high: 0.05 },
      // Near the top of its range the output hangs on the reference, and a raised return hardly shows.
      'return-resistance': { ambient: 0.35, shifted: 0.05, 'shifted-by-return': 0.38, low: 0.01, high: 0.21 },
      'unit-ground': { ambient: 0.35, shifted: 0.05, 'shifted-by-return': 0.55, low: 0.01, high: 0.04 },
      'signal-short-reference': {
        ambient: 0.01,
        shifted: 0.03,
        'shifted-by-return': 0.01,
        low: 0.01,
        high: 0.94,
      },
      'signal-short-ground': {
        ambient: 0.01,
        shifted: 0.03,
        'shifted-by-return': 0.01,
        low: 0.94,
        high: 0.01,
      },
      'sensor-shifted': { ambient: 0.08, shifted: 0.85, 'shifted-by-return': 0.01, low: 0.03, high: 0.03 },
      'sensor-stuck': { ambient: 0.12, shifted: 0.51, 'shifted-by-return': 0.01, low: 0.18, high: 0.18 },
      'sensor-loads-reference': {
        ambient: 0.04,
        shifted: 0.4,
        'shifted-by-return': 0.01,
        low: 0.5,
        high: 0.05,
      },
      path: { ambient: 0.5, shifted: 0.45, 'shifted-by-return': 0.01, low: 0.02, high: 0.02 },
    },
  },
  'signal-follows': {
    otherwise: { moves: 0.96, stuck: 0.04 },
    given: {
      'reference-open': { moves: 0.06, stuck: 0.94 },
      'reference-supply': { moves: 0.4, stuck: 0.6 },
      'signal-short-reference': { moves: 0.02, stuck: 0.98 },
      'signal-short-ground': { moves: 0.02, stuck: 0.98 },
      'sensor-stuck': { moves: 0.03, stuck: 0.97 },
      'sensor-loads-reference': { moves: 0.3, stuck: 0.7 },
      hose: { moves: 0.3, stuck: 0.7 },
      path: { moves: 0.4, stuck: 0.6 },
    },
  },
  'signal-unit-vs-plug': {
    otherwise: { same: 0.97, differs: 0.03 },
    given: { 'signal-open': { same: 0.03, differs: 0.97 } },
  },
  'signal-unplugged': {
    otherwise: { 'at-bias': 0.96, 'held-high': 0.02, 'held-low': 0.02 },
    given: {
      'signal-open': { 'at-bias': 0.48, 'held-high': 0.02, 'held-low': 0.5 },
      'signal-short-reference': { 'at-bias': 0.02, 'held-high': 0.96, 'held-low': 0.02 },
      'signal-short-ground': { 'at-bias': 0.02, 'held-high': 0.02, 'held-low': 0.96 },
    },
  },
  'live-vs-plug': {
    otherwise: { agrees: 0.95, differs: 0.05 },
    given: {
      'signal-open': { agrees: 0.05, differs: 0.95 },
      'unit-input': { agrees: 0.05, differs: 0.95 },
      'unit-ground': { agrees: 0.4, differs: 0.6 },
    },
  },
  'sensor-vs-gauge-hose': {
    otherwise: { agree: 0.94, disagree: 0.05, 'disagree-by-return': 0.01 },
    given: {
      'return-resistance': { agree: 0.35, disagree: 0.1, 'disagree-by-return': 0.55 },
      'unit-ground': { agree: 0.35, disagree: 0.1, 'disagree-by-return': 0.55 },
      'sensor-shifted': { agree: 0.06, disagree: 0.93, 'disagree-by-return': 0.01 },
      'sensor-stuck': { agree: 0.03, disagree: 0.96, 'disagree-by-return': 0.01 },
    },
  },
  'sensor-vs-gauge-manifold': {
    otherwise: { agree: 0.94, disagree: 0.05, 'disagree-by-return': 0.01 },
    given: {
      'return-resistance': { agree: 0.35, disagree: 0.1, 'disagree-by-return': 0.55 },
      'unit-ground': { agree: 0.35, disagree: 0.1, 'disagree-by-return': 0.55 },
      'sensor-shifted': { agree: 0.06, disagree: 0.93, 'disagree-by-return': 0.01 },
      'sensor-stuck': { agree: 0.03, disagree: 0.96, 'disagree-by-return': 0.01 },
      hose: { agree: 0.06, disagree: 0.93, 'disagree-by-return': 0.01 },
    },
  },
  'vacuum-at-hose': {
    otherwise: { healthy: 0.92, low: 0.08 },
    given: {
      'engine-vacuum': { healthy: 0.04, low: 0.96 },
      hose: { healthy: 0.15, low: 0.85 },
    },
  },
  'vacuum-at-manifold': {
    otherwise: { healthy: 0.92, low: 0.08 },
    given: { 'engine-vacuum': { healthy: 0.03, low: 0.97 } },
  },
};

/**
 * Probability that a check gives one of `outcomes` when `cause` is true. Several outcomes stand for an answer that
 * does not tell them apart, such as a shift whose return has not been measured.
 */
export function likelihood(check: CheckId, outcomes: readonly string[], cause: CauseId): number {
  const { otherwise, given } = LIKELIHOOD[check];
  const row: Readonly<Record<string, number>> = given[cause] ?? otherwise;
  return outcomes.reduce((sum, outcome) => sum + (row[outcome] ?? 0), 0);
}
