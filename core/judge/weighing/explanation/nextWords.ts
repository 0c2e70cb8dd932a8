import {
  isTarget,
  targetWords,
  type Lane,
  type MachineState,
  type ProbePoint,
} from '../../../machine/places/index.ts';
import { observationOf } from '../../../record/observation/index.ts';
import type { FamilyId } from '../../../machine/family/index.ts';
import { cautionsFor } from '../../cautions/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { answersOf, type AnswerMeaning } from './answerMeanings.ts';
import type { Candidate } from '../outlook/candidates.ts';
import type { Decisions } from '../posterior/decisions.ts';
import type { Suggestion } from '../gate/judgement.ts';
import { lowerFirst } from '../../wording/index.ts';

/** A reading worth taking next, with all that a technician wants to know before moving the probe. */
export interface NextReading {
  target: Candidate['target'];
  state: MachineState;
  title: string;
  why: string;
  how: string;
  cautions: string[];
  minutes: number;
  /** About what is to be done, in bits. */
  bits: number;
  /** What each answer would mean, the likeliest first. */
  answers: AnswerMeaning[];
}

export function nextInWords(
  { candidate, minutes, bits, foresight, forGate }: Suggestion,
  decisions: Decisions,
  caseFile: CaseFile,
): NextReading {
  const { target, state } = candidate;
  const answers = answersOf(foresight, candidate, decisions, caseFile);
  const told = [...new Set(answers.map(({ then }) => then))];
  return {
    target,
    state,
    title: titleOfCandidate(candidate),
    why: forGate
      ? `Before a part is named: ${lowerFirst(forGate.label)}.`
      : told.length > 1
        ? `Tells “${told[0]}” from “${told[1]}”.`
        : `Shows whether “${told[0] ?? ''}” holds.`,
    how: howTo(candidate),
    cautions: cautions(candidate, caseFile.family),
    minutes: Math.round(minutes * 2) / 2,
    bits,
    answers,
  };
}

export function titleOfCandidate({ target }: Candidate): string {
  switch (target.kind) {
    case 'sweep':
      return 'record a slow sweep';
    case 'observation':
      return lowerFirst(observationOf(target.observation).question);
    case 'wire':
    case 'between':
    case 'ohms':
    case 'gauge':
    case 'scan':
      return targetWords(target);
  }
}

const BLACK_LEAD = 'black lead on battery negative';

function howTo({ target, state }: Candidate): string {
  switch (target.kind) {
    case 'observation':
      return observationOf(target.observation).how;
    case 'sweep':
      return 'Open Sweeps, Record live: move it slowly from stop to stop and back, twice.';
    case 'scan':
      return `Read it in live data. ${bringInto(state)}`.trim();
    case 'gauge':
      return target.tap === 'manifold'
        ? 'Put the gauge on a manifold port of its own, start the engine and let both settle.'
        : 'Tee the gauge in next to the sensor, start the engine and let both settle.';
    case 'ohms':
      return 'Key off, plug off: measure across the pins of the sensor itself, never on a live circuit.';
    case 'between':
      return 'Both probes on the same wire, one at each end, plug connected, key on: the drop under load.';
    case 'wire':
      if (state.harness)
        return `Unplug the other sensors on the reference, then read with the ${BLACK_LEAD}.`;
      return state.plug === 'unplugged'
        ? `Unplug the sensor with the key off, key on, probe the harness side gently, ${BLACK_LEAD}. The unplugging may set a code.`
        : `Back-probe with the plug connected, ${BLACK_LEAD}. ${bringInto(state)}`.trim();
  }
}

function bringInto({ engine, stimulus }: MachineState): string {
  switch (stimulus?.kind) {
    case 'pump':
      return 'Put the hand pump on the sensor’s own port and hold it there.';
    case 'held':
      return 'Move the arm at the sensor by hand to about half way and hold it.';
    case 'full-travel':
      return 'Work pedal or lever as usual, to the far stop, and hold it there.';
    case 'valve-open':
      return 'Hold about 1,500 rpm and force the valve open.';
    case undefined:
      return engine === 'idle'
        ? 'Start the engine and let it settle.'
        : engine === 'held-revs'
          ? 'Hold the revs steady.'
          : '';
  }
}

const LOOSE_OBJECTS = 'Engine off and cooled down before hands go near hoses, belts or ducts.';

function cautions({ target, state }: Candidate, family: FamilyId): string[] {
  if (target.kind === 'observation') {
    return target.observation === 'stumbles'
      ? cautionsFor({ kind: 'scan' }, state, family)
      : target.observation === 'part-number'
        ? []
        : [LOOSE_OBJECTS];
  }
  if (target.kind === 'sweep') return cautionsFor({ kind: 'scan' }, state, family);
  if (isTarget(target)) return cautionsFor(target, state, family);
  const lane = laneOf(target.from);
  return cautionsFor(lane ? { kind: 'wire', lane, place: 'plug' } : { kind: 'scan' }, state, family);
}

const laneOf = (point: ProbePoint): Lane | undefined => (typeof point === 'string' ? undefined : point.lane);
