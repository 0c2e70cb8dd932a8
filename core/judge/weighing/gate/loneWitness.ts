import { say, type Message } from '../../../measure/message/index.ts';
import { isLinked } from '../../../machine/family/index.ts';
import { spotOf, type Lane } from '../../../machine/places/index.ts';
import { isForetold, spotSaid, type AnyEvidence } from '../../../record/evidence/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { bridgedPastPlug, byItselfVolts, poweredByItself, type ByItself } from '../../isolation/index.ts';
import { classShares, decisionShares, type Decision, type Decisions } from '../posterior/decisions.ts';
import { isSameAct } from '../likelihood/aboutReadings.ts';
import { gateItems, type GateItem } from './gate.ts';
import { notGoingWith } from './misfits.ts';
import { type Posterior } from '../posterior/posterior.ts';
import { sharesWithout } from '../posterior/sharesWithout.ts';
import type { WeighedCase, WeighedReading } from '../hypotheses/weighedCase.ts';

/** Parts that are thrown away, and looms that are opened: what condemns them is read twice. */
const CONDEMNED: readonly Decision['class'][] = ['sensor', 'wrong-part', 'control-unit', 'wire'];
/** A reading without which the class of the leading decision would stand at less than this is its only witness. */
const STANDS_WITHOUT = 0.5;
/** A sensor that would stand at less than this without a look at its contacts is cleared of them by that look alone. */
const CLEARED_WITHOUT_LOOK = 0.9;

/** All that must be on record before a verdict on a decision that leads clearly: at last, what it hangs on or fails by alone. */
export function wholeGate(
  decision: Decision,
  weighed: WeighedCase,
  known: Posterior,
  decisions: Decisions,
  caseFile: CaseFile,
  wires: readonly Lane[],
): GateItem[] {
  const items = gateItems(decision, caseFile, wires);
  return items.every(({ state }) => state === 'proven')
    ? [
        ...items,
        ...loneWitnesses(decision, weighed, known, decisions, caseFile),
        ...pastItsContacts(decision, weighed, known, decisions, caseFile, wires),
        ...withContactsBridged(decision, caseFile, wires),
        ...contradictions(decision, weighed, known, caseFile),
      ]
    : items;
}

/** What a cause has to call a slip was read twice: a slip is of one act of measuring, and what is there stays. */
const contradictions = (
  decision: Decision,
  weighed: WeighedCase,
  known: Posterior,
  caseFile: CaseFile,
): GateItem[] => notGoingWith(decision, weighed, known, caseFile).flatMap((one) => readAgain(one, caseFile));

/**
 * Readings that a part would be condemned by alone: each is read a second time, since now and then a reading is not what it is
 * noted as.
 */
function loneWitnesses(
  { class: sort }: Decision,
  weighed: WeighedCase,
  known: Posterior,
  decisions: Decisions,
  caseFile: CaseFile,
): GateItem[] {
  if (!CONDEMNED.includes(sort)) return [];
  const taken = [...caseFile.readings, ...caseFile.isolation];
  return weighed.readings.flatMap((witness) => {
    const { id } = witness;
    const one = taken.find((reading) => reading.id === id);
    if (!one || shareWithout(witness, sort, weighed, known, decisions) >= STANDS_WITHOUT) return [];
    return readAgain(one, caseFile);
  });
}

/**
 * A contact that fails looks good once in seven times: past its plug a sensor shows by itself what is its own. A weak
 * output is as right there as one with a bad contact; with all contacts bridged it stays what it was.
 */
function pastItsContacts(
  { class: sort, members }: Decision,
  weighed: WeighedCase,
  known: Posterior,
  decisions: Decisions,
  caseFile: CaseFile,
  wires: readonly Lane[],
): GateItem[] {
  const { family, profile, companion, observations } = caseFile;
  const by = isLinked(family) ? undefined : poweredByItself({ family, profile, companion, wires });
  if (sort !== 'sensor' || !by) return [];
  const looks = observations.filter(({ observation, holds }) => observation === 'plug-contacts' && holds);
  const hangsOnLook = weighed.readings
    .filter(({ id }) => looks.some((look) => look.id === id))
    .some((look) => shareWithout(look, sort, weighed, known, decisions) < CLEARED_WITHOUT_LOOK);
  if (!hangsOnLook) return [];
  const fed = pastItsPlug(say('gate.past-its-contacts'), by, caseFile);
  const bridged = bridgedPastPlug({ family, profile, companion, wires });
  const likeliest = members.reduce((a, b) => (known.shares[b]! > known.shares[a]! ? b : a));
  const isWeak = weighed.hypotheses[likeliest]!.kind?.id === 'output-resistance';
  return isWeak && bridged ? [fed, pastItsPlug(say('gate.contacts-bridged'), bridged, caseFile)] : [fed];
}

const pastItsPlug = (
  label: Message,
  by: ByItself,
  { readings, isolation }: Pick<CaseFile, 'readings' | 'isolation'>,
): GateItem => ({
  label,
  state: byItselfVolts(by, [...readings, ...isolation]) === undefined ? 'missing' : 'proven',
  reading: { target: { kind: 'between', from: by.from, to: by.to }, state: by.state },
});

/**
 * A contact that somebody looked at and found good, and a sensor whose output is weak, load the signal alike: what is right with the
 * contacts bridged, and nothing else changed, they make wrong.
 */
function withContactsBridged({ cause }: Decision, caseFile: CaseFile, wires: readonly Lane[]): GateItem[] {
  const { family, profile, companion, observations } = caseFile;
  const looked = observations.findLast(({ observation }) => observation === 'plug-contacts');
  const by = bridgedPastPlug({ family, profile, companion, wires });
  if (!looked?.holds || !by) return [];
  const bridged = by.state.harness?.attachments.flatMap((one) => ('from' in one ? [one.from] : [])) ?? [];
  const isBridged = (wire: Lane) => bridged.some((from) => typeof from !== 'string' && from.lane === wire);
  const isAccused =
    cause.of === 'plug-contacts' || (cause.of === 'wire' && cause.joint === 'plug' && isBridged(cause.wire));
  return isAccused ? [pastItsPlug(say('gate.contacts-bridged'), by, caseFile)] : [];
}

/** The share of a class as it would be without one of the readings. */
const shareWithout = (
  reading: WeighedReading,
  sort: Decision['class'],
  weighed: WeighedCase,
  known: Posterior,
  decisions: Decisions,
): number =>
  classShares(decisions, decisionShares(decisions, sharesWithout(reading, known, weighed))).find(
    (of) => of.class === sort,
  )?.share ?? 0;

/** Of a reading that stands alone: that it is taken a second time. */
function readAgain(one: AnyEvidence, { readings, isolation }: CaseFile): GateItem[] {
  if (!isForetold(one)) return [];
  if ([...readings, ...isolation].some((other) => other !== one && isSameAct(other, one))) return [];
  return [
    {
      label: say('gate.read-again', { target: spotSaid(one) }),
      state: 'missing',
      reading: { target: spotOf(one), state: one.state },
    },
  ];
}
