import { isPlain, numberOf, type AnyEvidence } from '@lettura/core/record/evidence';
import type { CaseFile } from '@lettura/core/judge/checks';
import { analyseSweep, type ChannelUse, type Recording } from '@lettura/core/recording/sweep';
import {
  isUnexplained,
  judgementOn,
  lookAhead,
  mayBeDecided,
  minutesFor,
  standingOf,
  type Candidate,
  type Judgement,
} from '@lettura/core/judge/weighing';
import { type Patient, type WorkedCase, type Taken } from './patient.ts';

export type Order = 'chosen' | 'textbook';

const MOST_READINGS = 30;

/** @param textbook the fixed order, where readings are not to be chosen */
export function workThrough(patient: Patient, textbook?: readonly Candidate[]): WorkedCase {
  const { wires, weigher } = patient;
  let caseFile = patient.opened;
  const inOrder: AnyEvidence[] = [];
  let minutes = 0;
  let judgement: Judgement | undefined;
  let milliseconds = 0;
  const refused = new Set<string>();
  const trail: string[] = [];
  for (let tick = 1; tick <= MOST_READINGS; tick++) {
    const start = performance.now();
    const standing = standingOf(weigher.caseOf(caseFile), caseFile, wires);
    // A fixed order looks ahead only where a verdict may be given.
    const looks = !textbook || mayBeDecided(standing);
    judgement = judgementOn(standing, looks ? [...lookAhead(weigher, caseFile, wires, standing)] : undefined);
    milliseconds += performance.now() - start;
    if (judgement.verdict !== 'open') break;
    const open = textbook ?? judgement.suggestions.map(({ candidate }) => candidate);
    const next = open.find((candidate) => !refused.has(JSON.stringify(candidate)));
    if (!next) break;
    const taken = patient.read(next, tick);
    if (!taken) {
      refused.add(JSON.stringify(next));
      continue;
    }
    minutes += minutesFor(next, inOrder);
    trail.push(
      `${JSON.stringify(next.target)} ${next.state.engine} ${next.state.plug} ${JSON.stringify(next.state.stimulus ?? '')}: ${shownBy(taken)}`,
    );
    if ('holds' in taken) {
      caseFile = { ...caseFile, observations: [...caseFile.observations, taken] };
      continue;
    }
    if ('recording' in taken) {
      caseFile = { ...caseFile, sweeps: [sweepOnRecord(taken, caseFile)] };
      continue;
    }
    inOrder.push(taken);
    caseFile = {
      ...caseFile,
      readings: inOrder.filter(isPlain),
      isolation: inOrder.filter((reading) => !isPlain(reading)),
    };
  }
  const { ranked, named, placeShare, classes, verdict } = judgement!;
  const [said] = classes;
  const { classTrue } = patient;
  return {
    machine: patient.machine,
    family: patient.family,
    fault: patient.fault,
    classTrue,
    outside: patient.outside,
    decided: verdict === 'decided',
    unexplained: isUnexplained(judgement!),
    trail,
    leaders: ranked
      .slice(0, 3)
      .map(({ decision, share }) => `${decision.id} ${share.toFixed(2)}`)
      .join(', '),
    classSaid: said!.class,
    classShare: said!.share,
    classRight: said!.class === classTrue,
    // Of what is named together, one is it.
    placeRight: ranked.some(
      ({ decision }) =>
        decision.members.every((member) => named.members.includes(member)) && patient.isRight(decision),
    ),
    placeShare,
    readings: inOrder.length + caseFile.sweeps.length + caseFile.observations.length,
    minutes,
    brier: classes.reduce(
      (sum, { class: sort, share }) => sum + (share - (sort === classTrue ? 1 : 0)) ** 2,
      0,
    ),
    milliseconds,
  };
}

const sweepOnRecord = (
  { recording, uses }: { recording: Recording; uses: ChannelUse[] },
  { profile, companion }: CaseFile,
) => ({
  name: 'Sweep',
  uses,
  findings: analyseSweep(recording, { uses, profile, companion }),
});

/** What was read, for the trail of a case. */
const shownBy = (taken: Taken): string =>
  'recording' in taken ? 'recorded' : 'holds' in taken ? String(taken.holds) : `${numberOf(taken)}`;
