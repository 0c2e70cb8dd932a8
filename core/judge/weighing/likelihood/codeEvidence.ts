import {
  isComplainedOf,
  limitsOf,
  standardCode,
  type Complaint,
  type Watched,
} from '../../../record/code/index.ts';
import { isSent, valueLimitVolts } from '../../../measure/transfer/index.ts';
import type { Lane, MachineState } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { CircuitSpot } from '../prediction/circuitSpot.ts';

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
export const STORED = { withReason: 0.7, without: 0.07, comesAndGoes: 0.25 } as const;

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
  { codes, family, companion, profile }: Pick<CaseFile, 'codes' | 'family' | 'companion' | 'profile'>,
  wires: readonly Lane[],
): { id: string; code: string; complaint: Complaint }[] {
  return [...new Set(codes)].flatMap((code) => {
    const complaint = standardCode(code, family);
    return complaint && isWatched(complaint.about, companion, wires)
      ? [{ id: codeId(code), code, complaint: asWatched(complaint, profile) }]
      : [];
  });
}

/** Telegrams arrive or do not: a unit that misses them may say so with either side of its circuit. */
const asWatched = (complaint: Complaint, profile: CaseFile['profile']): Complaint =>
  complaint.about === 'signal' && isSent(profile) ? { ...complaint, reads: 'off' } : complaint;

/** What the code of a job goes by among its readings. */
export const codeId = (code: string): string => `code:${code}`;
/** A code brought the machine in; by itself it ranks nothing. */
export const isCode = ({ id }: { id: string }): boolean => id.startsWith('code:');

/** How sure it is that the unit has its reason, by what it sees; its limits are not quite those of our model. */
export function reasonFor(
  complaint: Complaint,
  { profile, companion }: Pick<CaseFile, 'profile' | 'companion'>,
): (seen: number, spread: number) => number {
  const limits =
    complaint.about === 'signal' ? valueLimitVolts(profile) : limitsOf(complaint.about, profile, companion);
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
