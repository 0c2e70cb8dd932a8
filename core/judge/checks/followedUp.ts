import { list, plain, say, verbatim, type Message } from '../../measure/message/index.ts';
import { roadSaid, type FollowUp } from '../../record/followUp/index.ts';
import { codesNow, monitorSaid } from '../../record/onBoard/index.ts';
import type { RepairOutcome } from './repairProof.ts';

/** Since the last work that changes what is read, oldest first. */
export type AfterRepair = 'codes-cleared' | FollowUp;
type Kind<W extends FollowUp['what']> = Extract<FollowUp, { what: W }>;

/** What codes, readiness and the road say of a repair. */
export interface FollowedUp {
  /** One sentence on each, what is lacking included. */
  remarks: readonly Message[];
  /** Of these: what speaks against the repair, or for a second fault. */
  against: readonly Message[];
  /** The complaint stayed away where it should have come, or no code came back although it could have. */
  isBorneOut: boolean;
}

/** @param codesBefore those of the job, as the machine came */
export function followedUp(codesBefore: readonly string[], made: readonly AfterRepair[]): FollowedUp {
  const since = made.flatMap(partsOf);
  const cleared = since.lastIndexOf('codes-cleared');
  const sinceCleared = since.slice(cleared + 1);
  const codes = ofCodes(codesBefore, all(sinceCleared, 'codes'), cleared >= 0);
  const readiness = ofReadiness(all(sinceCleared, 'readiness').at(-1), cleared >= 0);
  const road = ofRoad(all(since, 'road-test'));
  const against = [...codes.against, ...road.against];
  return {
    remarks: [...codes.remarks, ...readiness.remarks, ...road.remarks],
    against,
    isBorneOut: against.length === 0 && (road.isGone || (codes.stayAway && readiness.isComplete)),
  };
}

/** A vehicle that was asked tells its codes and its readiness at once, as far as its units answer. */
function partsOf(made: AfterRepair): AfterRepair[] {
  if (made === 'codes-cleared' || made.what !== 'vehicle') return [made];
  const { units } = made;
  const ready = units.flatMap(({ readiness }) => readiness ?? []);
  const unfinished = [...new Set(ready.flatMap((of) => of.unfinished))];
  const parts: FollowUp[] = [];
  if (units.some(({ stored }) => stored)) parts.push({ what: 'codes', codes: codesNow(units) });
  if (ready.length > 0) parts.push({ what: 'readiness', unfinished });
  return parts;
}

/**
 * How a repair ended, readings and follow-up together: `contradicted` where nothing read is off and a code or the complaint
 * is back, `borne-out` where nothing was off before, and the road or the codes speak for it.
 */
export type RepairEnd = RepairOutcome | 'contradicted' | 'borne-out';

/**
 * How a repair ends: proven by the tests and borne out by the road, or taken back by a code or a complaint that
 * came again.
 */
export function repairEnd(outcome: RepairOutcome, { against, isBorneOut }: FollowedUp): RepairEnd {
  if (outcome === 'still-off' || outcome === 'something-else-off') return outcome;
  if (against.length > 0) return 'contradicted';
  return outcome === 'nothing-was-off' && isBorneOut ? 'borne-out' : outcome;
}

const all = <W extends FollowUp['what']>(since: readonly AfterRepair[], what: W): Kind<W>[] =>
  since.filter((one): one is Kind<W> => one !== 'codes-cleared' && one.what === what);

function ofCodes(before: readonly string[], reads: readonly Kind<'codes'>[], wasCleared: boolean) {
  const last = reads.at(-1);
  if (!last) {
    const remarks = wasCleared
      ? [say('follow-up.cleared-not-read')]
      : before.length > 0
        ? [say('follow-up.neither-cleared-nor-read', { codes: named(before) })]
        : [];
    return { remarks, against: [], stayAway: false };
  }
  if (!wasCleared) {
    const remark =
      last.codes.length === 0
        ? say('follow-up.none-stored')
        : say('follow-up.stored-not-cleared', { codes: named(last.codes), count: last.codes.length });
    return { remarks: [remark], against: [], stayAway: false };
  }
  // One that came once and is gone again has come back all the same.
  const seen = [...new Set(reads.flatMap(({ codes }) => codes))];
  const back = seen.filter((code) => before.includes(code));
  const fresh = seen.filter((code) => !before.includes(code));
  const against = [
    ...(back.length > 0 ? [say('follow-up.came-back', { codes: named(back), count: back.length })] : []),
    ...(fresh.length > 0 ? [say('follow-up.new-codes', { codes: named(fresh) })] : []),
  ];
  const stayAway = against.length === 0;
  return {
    remarks: stayAway ? [say('follow-up.none-back', { times: reads.length })] : against,
    against,
    stayAway,
  };
}

function ofReadiness(last: Kind<'readiness'> | undefined, wasCleared: boolean) {
  if (!last) return { remarks: wasCleared ? [say('follow-up.readiness-not-read')] : [], isComplete: false };
  const isComplete = last.unfinished.length === 0;
  const remark = isComplete
    ? say('follow-up.all-finished')
    : say('follow-up.unfinished', {
        count: last.unfinished.length,
        monitors: list(last.unfinished.map(monitorSaid)),
      });
  return { remarks: [remark], isComplete };
}

function ofRoad(tests: readonly Kind<'road-test'>[]) {
  const bad = tests.filter(({ complaint }) => complaint === 'still-there');
  const last = bad.at(-1) ?? tests.at(-1);
  if (!last) return { remarks: [say('follow-up.no-road-test')], against: [], isGone: false };
  const conditions = roadSaid(last);
  const of = tests.length;
  const remark = {
    gone: say('follow-up.road-gone', { conditions, of }),
    'still-there': say('follow-up.road-still-there', { conditions, of, times: plain(bad.length) }),
    'not-brought-about': say('follow-up.road-not-brought-about', { conditions }),
  }[last.complaint];
  const isGone = last.complaint === 'gone';
  return { remarks: [remark], against: bad.length > 0 ? [remark] : [], isGone };
}

const named = (codes: readonly string[]) => list(codes.map(verbatim));
