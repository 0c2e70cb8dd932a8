import {
  isComplainedOf,
  limitsOf,
  standardCode,
  type Complaint,
  type Watched,
} from '../../../record/code/index.ts';
import type { Lane, MachineState } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { AnswerTable } from '../prediction/circuitAnswers.ts';
import type { CircuitSpot } from '../prediction/circuitSpot.ts';
import { NOTHING, type Hypothesis } from '../hypotheses/hypotheses.ts';
import { listsOver } from './lists.ts';
import type { Places } from '../prediction/places.ts';
import type { Scale } from '../prediction/scales.ts';
import { shownSteps, type ShownSteps } from '../prediction/shownSteps.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import type { WeighedReading } from '../hypotheses/weighedCase.ts';

/** Codes are read with the key on, the engine off and the plug on. */
export const CODES_READ_IN: MachineState = { engine: 'koeo', plug: 'connected' };

/** Units differ in their limits, in shares of the nominal reference; and of a pair in percent of it. */
const LIMIT_SIGMA_SHARE = 0.012;
const PAIR_SIGMA_PERCENT = 1.2;
/** A unit that sees what it complains of sets its code this often, and one without a reason for that often. */
const SET = 0.96;
const SET_FOR_NOTHING = 0.02;
/**
 * A code that was found stored may be of another day: how often one is there while the unit has its reason, while it has none,
 * and while what is wrong comes and goes; our own starting values, of which only the proportions count.
 */
const STORED = { withReason: 0.7, without: 0.07, comesAndGoes: 0.25 } as const;

/** What the circuit has to answer for a complaint, and what that is a reading of. */
export const seenSpot = ({ about }: Complaint): CircuitSpot =>
  // Live data comes of the same input.
  about === 'signal' ? { kind: 'scan' } : { kind: 'unit-sees', what: about };
/** The reading that a complaint stands for: the signal at the unit, in the state in which codes are read. */
export const spokenOf = ({ about }: Complaint) =>
  ({
    kind: 'wire',
    lane: about === 'second-signal' ? 'second-signal' : 'signal',
    place: 'unit',
    state: CODES_READ_IN,
  }) as const;

/** Whether a body with these wires has what the complaint is about. */
export function isWatched(about: Watched, companion: CaseFile['companion'], wires: readonly Lane[]): boolean {
  switch (about) {
    case 'signal':
    case 'second-signal':
      return wires.includes(about);
    case 'supply':
      return wires.includes('reference');
    case 'pair':
      return companion?.kind === 'second-track' && wires.includes('second-signal');
  }
}

/** Of the codes that a job came with those that say something of this sensor, with what they say. */
export function codesThatTell(
  { codes, family, companion }: Pick<CaseFile, 'codes' | 'family' | 'companion'>,
  wires: readonly Lane[],
): { id: string; code: string; complaint: Complaint }[] {
  return [...new Set(codes)].flatMap((code) => {
    const complaint = standardCode(code, family);
    return complaint && isWatched(complaint.about, companion, wires)
      ? [{ id: codeId(code), code, complaint }]
      : [];
  });
}

/** What the code of a job goes by among its readings. */
export const codeId = (code: string): string => `code:${code}`;
/** A code brought the machine in; by itself it ranks nothing. */
export const isCode = ({ id }: { id: string }): boolean => id.startsWith('code:');

/** How sure it is that the unit has its reason, by what it sees; its limits are not quite those of our model. */
export function reasonFor(
  complaint: Complaint,
  { profile, companion }: Pick<CaseFile, 'profile' | 'companion'>,
): (seen: number, spread: number) => number {
  const limits = limitsOf(complaint.about, profile, companion);
  const [low, high] = limits;
  const own =
    complaint.about === 'pair' ? PAIR_SIGMA_PERCENT : LIMIT_SIGMA_SHARE * profile.nominalReferenceVolts;
  return (seen, spread) => {
    const off = Math.sqrt(own * own + spread * spread);
    const certain = isComplainedOf(complaint, seen, limits) ? 1 : 0;
    // Nearly always it is far from any limit.
    if (Math.abs(seen - low) > off && Math.abs(seen - high) > off) return certain;
    const below = isComplainedOf(complaint, seen - off, limits) ? 1 : 0;
    const above = isComplainedOf(complaint, seen + off, limits) ? 1 : 0;
    return 0.25 * below + 0.5 * certain + 0.25 * above;
  };
}

/** How likely a code comes back once it was cleared, by how sure its reason is. */
export const comesBack = (reason: number): number => SET_FOR_NOTHING + (SET - SET_FOR_NOTHING) * reason;

type Lists = Pick<WeighedReading, 'lists' | 'listOf'>;

/** How sure the reason is, along the tolerances and nodes of each answer. */
export const reasonsOver = (
  complaint: Complaint,
  caseFile: CaseFile,
  table: AnswerTable,
  places: Places,
  sized: readonly SizedHypothesis[],
): Lists => alikeOnce(listsOver(table, places, sized, reasonFor(complaint, caseFile)));

/** A code that was read again after clearing. */
export const readAgain = ({ lists, listOf }: Lists, staysAway: boolean): Lists & { floor: number } => ({
  floor: 0,
  lists: lists.map((reasons) =>
    reasons.map((reason) => (staysAway ? 1 - comesBack(reason) : comesBack(reason))),
  ),
  listOf,
});

/** A code that the job came with. */
export function foundStored(
  { lists, listOf }: Lists,
  sized: readonly SizedHypothesis[],
  hypotheses: readonly Hypothesis[],
): Lists & { floor: number } {
  const found = (without: number) =>
    lists.map((reasons) => reasons.map((reason) => STORED.withReason * reason + without * (1 - reason)));
  return {
    floor: 0,
    lists: [...found(STORED.without), ...found(STORED.comesAndGoes)],
    listOf: listOf.map((list, s) =>
      mayComeAndGo(hypotheses[sized[s]!.hypothesis]!) ? lists.length + list : list,
    ),
  };
}

/** Lists that say the same become one: most voltages are far from any limit, and whoever reasons on is the quicker. */
function alikeOnce({ lists, listOf }: Lists): Lists {
  const numbers = new Map<string, number>();
  const kept: Float64Array[] = [];
  const numberOf = lists.map((list) => {
    const said = list.join(' ');
    const number = numbers.get(said) ?? kept.push(list) - 1;
    numbers.set(said, number);
    return number;
  });
  return { lists: kept, listOf: listOf.map((list) => numberOf[list]!) };
}

const mayComeAndGo = ({ id, kind }: Hypothesis): boolean => id === NOTHING || kind?.id === 'dead-spot';

const QUARTERS = 4;
/** How sure the unit’s reason would be, in quarters. */
export const REASON_SCALE: Scale = {
  steps: QUARTERS + 1,
  stepOf: (reason) => Math.round(QUARTERS * reason),
  readAt: (step) => step / QUARTERS,
};

/** The reason that the unit would have, in quarters, whether it is likely or not. */
export function reasonSteps(
  complaint: Complaint,
  caseFile: CaseFile,
  table: AnswerTable,
  places: Places,
): ShownSteps {
  const reason = reasonFor(complaint, caseFile);
  return shownSteps(REASON_SCALE, table, places, (seen) => REASON_SCALE.stepOf(reason(seen, 0)));
}
