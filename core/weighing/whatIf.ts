import type { CaseFile } from '../reasoning/index.ts';
import { codeId } from './codeEvidence.ts';
import type { Reaches } from './candidates.ts';
import type { Hypothesis } from './hypotheses.ts';

/** Changes that are tried on, and touch no record. */
export interface WhatIf {
  /** Readings and looks left out. */
  without: readonly string[];
  /** Circumstances that shift the starting weights. */
  circumstances: readonly CircumstanceId[];
  /** A cause that is looked at whatever its weight. */
  suppose?: string | undefined;
  reaches: Reaches;
}

export const NO_WHAT_IF: WhatIf = { without: [], circumstances: [], reaches: {} };

export const CIRCUMSTANCE_IDS = ['sensor-replaced', 'loom-damaged', 'worked-on', 'old-part'] as const;
export type CircumstanceId = (typeof CIRCUMSTANCE_IDS)[number];

interface Circumstance {
  words: string;
  /** How it shifts the weight of a hypothesis before anything is read; our own starting values. */
  factor(hypothesis: Hypothesis): number;
}

const CIRCUMSTANCES: Record<CircumstanceId, Circumstance> = {
  'sensor-replaced': {
    words: 'The sensor was replaced for this already',
    factor: ({ class: sort }) => (sort === 'sensor' ? 0.3 : sort === 'wrong-part' ? 2.5 : 1),
  },
  'loom-damaged': {
    words: 'Damage to the loom is visible',
    factor: ({ class: sort }) => (sort === 'wire' ? 3 : 1),
  },
  'worked-on': {
    words: 'Somebody worked near it shortly before',
    factor: ({ class: sort, site }) =>
      sort === 'physical' || (site?.id.endsWith(':plug') ?? false) ? 2.5 : 1,
  },
  'old-part': {
    words: 'The sensor is older than ten years',
    factor: ({ class: sort }) => (sort === 'sensor' ? 1.7 : 1),
  },
};

export const circumstanceWords = (id: CircumstanceId): string => CIRCUMSTANCES[id].words;

/** The starting weights under some circumstances; they sum to one. */
export function underCircumstances(
  hypotheses: readonly Hypothesis[],
  ids: readonly CircumstanceId[],
): readonly Hypothesis[] {
  if (ids.length === 0) return hypotheses;
  const shifted = hypotheses.map((hypothesis) => ({
    ...hypothesis,
    prior: ids.reduce((prior, id) => prior * CIRCUMSTANCES[id].factor(hypothesis), hypothesis.prior),
  }));
  const total = shifted.reduce((sum, { prior }) => sum + prior, 0);
  return shifted.map((hypothesis) => ({ ...hypothesis, prior: hypothesis.prior / total }));
}

/** The record without what is left out. */
export function withoutReadings(caseFile: CaseFile, without: readonly string[]): CaseFile {
  if (without.length === 0) return caseFile;
  const stays = ({ id }: { id: string }) => !without.includes(id);
  return {
    ...caseFile,
    readings: caseFile.readings.filter(stays),
    isolation: caseFile.isolation.filter(stays),
    observations: caseFile.observations.filter(stays),
    codes: caseFile.codes.filter((code) => stays({ id: codeId(code) })),
  };
}

export const changesNothing = ({ without, circumstances, suppose }: WhatIf): boolean =>
  without.length === 0 && circumstances.length === 0 && suppose === undefined;
