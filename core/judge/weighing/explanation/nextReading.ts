import { say, withoutRepeats, type Message } from '../../../measure/message/index.ts';
import {
  isOnSensor,
  isSignalBridged,
  isPulses,
  isTarget,
  type Lane,
  type MachineState,
  type ProbePoint,
} from '../../../machine/places/index.ts';
import { spotSaid } from '../../../record/evidence/index.ts';
import { observationOf } from '../../../record/observation/index.ts';
import type { FamilyId } from '../../../machine/family/index.ts';
import { cautionsFor } from '../../cautions/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { answersOf, type AnswerMeaning } from './answerMeanings.ts';
import type { Candidate } from '../outlook/candidates.ts';
import type { Decisions } from '../posterior/decisions.ts';
import type { Suggestion } from '../gate/judgement.ts';
import { howTo } from './howToRead.ts';

/** A reading worth taking next, with all that a technician wants to know before moving the probe. */
export interface NextReading {
  target: Candidate['target'];
  state: MachineState;
  title: Message;
  why: Message;
  how: Message;
  cautions: Message[];
  minutes: number;
  /** About what is to be done, in bits. */
  bits: number;
  /** What each answer would mean, the likeliest first. */
  answers: AnswerMeaning[];
}

/** A candidate as it is shown: what it tells apart, how it is done, its minutes and its cautions. */
export function nextReading(
  { candidate, minutes, bits, foresight, forGate, again }: Suggestion,
  decisions: Decisions,
  caseFile: CaseFile,
): NextReading {
  const { target, state } = candidate;
  const answers = answersOf(foresight, candidate, decisions, caseFile);
  const told = withoutRepeats(answers.map(({ then }) => then));
  return {
    target,
    state,
    title: candidateSaid(candidate),
    why: forGate
      ? say('weighing.before-part-named', { item: forGate.label })
      : again
        ? say('weighing.perhaps-not-as-noted')
        : told.length > 1
          ? say('weighing.tells-apart', { first: told[0]!, second: told[1]! })
          : say('weighing.shows-whether-holds', { title: told[0] ?? say('outcome.whatever') }),
    how: howTo(candidate),
    cautions: cautions(candidate, caseFile.family),
    minutes: Math.round(minutes * 2) / 2,
    bits,
    answers,
  };
}

/** What a candidate is called, without the state it is read in. */
export function candidateSaid({ target, state }: Candidate): Message {
  if (isSignalBridged(state.harness)) return say('weighing.sensor-with-contacts-bridged');
  if (isOnSensor(state.harness)) return say('weighing.sensor-by-itself');
  if (target.kind === 'sweep') return say('weighing.record-slow-sweep');
  if (target.kind === 'capture') return say('weighing.capture-the-line');
  return target.kind === 'observation' ? observationOf(target.observation).question : spotSaid(target);
}

const LOOSE_OBJECTS = say('weighing.engine-off-cooled-down-before');

function cautions({ target, state }: Candidate, family: FamilyId): Message[] {
  if (target.kind === 'observation') {
    return target.observation === 'stumbles'
      ? cautionsFor({ kind: 'scan' }, state, family)
      : target.observation === 'part-number'
        ? []
        : [LOOSE_OBJECTS];
  }
  if (target.kind === 'sweep') return cautionsFor({ kind: 'scan' }, state, family);
  if (target.kind === 'capture' || isPulses(target))
    return cautionsFor({ kind: 'wire', lane: 'signal', place: 'plug' }, state, family);
  if (target.kind === 'engine-flow') return cautionsFor({ kind: 'scan' }, state, family);
  if (isTarget(target)) return cautionsFor(target, state, family);
  if (isOnSensor(state.harness)) return [say('isolation.by-itself-caution')];
  const lane = laneOf(target.from);
  return cautionsFor(lane ? { kind: 'wire', lane, place: 'plug' } : { kind: 'scan' }, state, family);
}

const laneOf = (point: ProbePoint): Lane | undefined => (typeof point === 'string' ? undefined : point.lane);
