import { list, say, type Message } from '../../../measure/message/index.ts';
import type { Lane } from '../../../machine/places/index.ts';
import { disagreements, type CaseFile } from '../../checks/index.ts';
import { isCode } from '../likelihood/codeEvidence.ts';
import {
  classShares,
  contactsShare,
  decisionsFor,
  plugContacts,
  shareAtItsPlace,
  statedShares,
} from '../posterior/decisions.ts';
import { titleOf } from '../posterior/causeSaid.ts';
import { wholeGate } from './loneWitness.ts';
import { PLACE_SHARE, shareToName } from './shareToName.ts';
import { misfitsOf } from './misfits.ts';
import { posterior } from '../posterior/posterior.ts';
import { weigherFor } from '../likelihood/keptWeighers.ts';

/**
 * Whether the readings prove a cause, by their weights and its gate; without the search for what to read next, which only
 * makes the screen more careful. For whoever keeps the record.
 *
 * @returns what is missing; undefined where nothing is
 */
export function missingProof(cause: string, caseFile: CaseFile, wires: readonly Lane[]): Message | undefined {
  const weigher = weigherFor(caseFile, wires);
  const weighed = weigher.caseOf(caseFile);
  const decisions = decisionsFor(weighed.hypotheses);
  const known = posterior(weighed);
  const shares = statedShares(decisions, known.shares);
  const contacts = plugContacts(decisions);
  const decision = [...decisions.all, ...(contacts ? [contacts] : [])].find(({ id }) => id === cause);
  if (!decision) return say('proof.no-cause', { title: titleOf(cause) });
  if (weighed.readings.every(isCode)) return say('proof.nothing-read');
  if (decision.class === 'unlisted' || misfitsOf(decision, weighed, known, caseFile).length > 0)
    return say('proof.none-explains');
  const ofClass = classShares(decisions, shares).find((one) => one.class === decision.class)?.share ?? 0;
  const needed = shareToName(decision, weighed.hypotheses, caseFile);
  const wanted = decisions.all.indexOf(decision);
  const share = wanted < 0 ? contactsShare(decisions, shares) : shares[wanted]!;
  const placeShare = wanted < 0 ? share : shareAtItsPlace(decisions, shares, wanted);
  if (placeShare < PLACE_SHARE || ofClass < needed)
    return say('proof.too-little', { title: titleOf(cause), percent: Math.floor(100 * share) });
  const [wrong] = decision.class === 'nothing' ? disagreements(caseFile) : [];
  if (wrong) return say('proof.something-wrong', { remark: wrong.sentence });
  const missing = wholeGate(decision, weighed, known, decisions, caseFile, wires).filter(
    ({ state }) => state !== 'proven',
  );
  return missing.length === 0
    ? undefined
    : say('proof.still-to-show', {
        items: list(
          missing.map(({ label }) => label),
          'semicolons',
        ),
      });
}
