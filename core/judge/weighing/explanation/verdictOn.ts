import { list, sameMessage, say, type Message } from '../../../measure/message/index.ts';
import { type CaseFile, type Remark } from '../../checks/index.ts';
import type { CauseClass } from '../../priors/index.ts';
import type { Candidate } from '../outlook/candidates.ts';
import { remedySaid, titleSaid } from '../posterior/causeSaid.ts';
import type { GateItem } from '../gate/gate.ts';
import { isUnexplained, type Judgement } from '../gate/judgement.ts';
import { PLACE_SHARE } from '../gate/shareToName.ts';
import { readingSaid } from './readingSaid.ts';
import { candidateSaid, nextReading } from './nextReading.ts';

export type Verdict =
  | { decided: true; cause: string; class: CauseClass; sentence: Message }
  | { decided: false; sentence: Message };

/** What a verdict may say on these readings, without the search for the next one: what guards the record. */
export function verdictOn(
  judgement: Judgement,
  caseFile: CaseFile,
  wrong: readonly Remark[],
  asked: Candidate | undefined,
): Verdict {
  const { id, cause, class: sort } = judgement.named;
  if (judgement.verdict !== 'decided')
    return { decided: false, sentence: whyNotYet(judgement, caseFile, asked) };
  if (sort === 'nothing' && wrong.length > 0)
    return { decided: false, sentence: say('verdict.something-wrong', { remark: wrong[0]!.sentence }) };
  const sentence = say('verdict.decided', { title: titleSaid(cause), remedy: remedySaid(cause) });
  return { decided: true, cause: id, class: sort, sentence };
}

/** @param asked what is shown as the next reading; undefined where none is worth asking for */
function whyNotYet(judgement: Judgement, caseFile: CaseFile, asked: Candidate | undefined): Message {
  const { ranked, named, placeShare, classes, gate, misfits } = judgement;
  const cannotTell = judgement.verdict === 'cannot-tell' || asked === undefined;
  if (misfits.length > 0)
    return say('verdict.none-explains-these', {
      readings: list(
        misfits.map((one) => readingSaid(one, caseFile)),
        'and',
      ),
      count: misfits.length,
    });
  if (isUnexplained(judgement)) return say('verdict.none-explains');
  const title = titleSaid(named.cause);
  const labelled = (wanted: GateItem['state']) =>
    gate.filter(({ state }) => state === wanted).map(({ label }) => label);
  const [missing, refuted] = [labelled('missing'), labelled('refuted')];
  if (refuted[0]) return say('verdict.refuted', { title, item: refuted[0] });
  if (missing.length > 0) return say('verdict.still-to-show', { title, items: list(missing, 'semicolons') });
  if (!cannotTell && placeShare >= PLACE_SHARE && classes[0]!.share >= PLACE_SHARE)
    return say('verdict.one-more-look', {
      title,
      look: candidateSaid(asked),
      isQuestion: asked.target.kind === 'observation',
    });
  const second = ranked.find(({ decision }) => !decision.members.some((one) => named.members.includes(one)));
  if (!second) return say('verdict.leads-alone', { title });
  return say(cannotTell ? 'verdict.cannot-tell' : 'verdict.also-explains', {
    title,
    second: titleSaid(second.decision.cause),
  });
}

/** The next reading that could still change the verdict, said; undefined where none could by much. */
export function overturns(
  { ranked, suggestions, decisions }: Judgement,
  caseFile: CaseFile,
): Message | undefined {
  const most = suggestions.reduce<Judgement['suggestions'][number] | undefined>(
    (best, one) => (!best || one.mayChangeTheMind > best.mayChangeTheMind ? one : best),
    undefined,
  );
  if (!most) return undefined;
  const leader = titleSaid(ranked[0]!.decision.cause);
  const { title, answers } = nextReading(most, decisions, caseFile);
  const other = answers.find(({ then }) => !sameMessage(then, leader));
  return other && say('verdict.overturned-by', { reading: title, outcome: other.outcome, then: other.then });
}
