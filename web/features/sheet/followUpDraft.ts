import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { COMPLAINT_ANSWERS, type FollowUp } from '@lettura/core/record/followUp';
import { MONITOR_IDS } from '@lettura/core/record/onBoard';
import { refusalOf } from '@lettura/contract';
import { z } from 'zod';
import { ownDraft } from '../../app/stored.ts';
import { codesFromText } from '../../ui/codesFromText.ts';
import { todayHere } from '../../ui/todayHere.ts';
import { fieldNumber, type Limits } from '../../ui/fieldNumber.ts';

/** What is typed of a follow-up, before it is on record. */
export const followUpDraft = z.object({
  codes: z.string(),
  unfinished: z.array(z.enum(MONITOR_IDS)),
  complaint: z.enum(COMPLAINT_ANSWERS).or(z.literal('')),
  loadPercent: z.string(),
  revsRpm: z.string(),
  gear: z.string(),
  coolantCelsius: z.string(),
  onDate: z.string(),
});
export type FollowUpDraft = z.infer<typeof followUpDraft>;
export const EMPTY_FOLLOW_UP: FollowUpDraft = {
  codes: '',
  unfinished: [],
  complaint: '',
  loadPercent: '',
  revsRpm: '',
  gear: '',
  coolantCelsius: '',
  onDate: '',
};

/** What is being typed outlives a change of section and a reload. */
export const followUpDraftOf = (jobId: string) =>
  ownDraft(`lettura.follow-up-draft.${jobId}`, followUpDraft, EMPTY_FOLLOW_UP);

/** By field of the road: what makes sense there. */
export const ROAD_LIMITS = {
  loadPercent: { lowest: 0, highest: 200, unit: '%' },
  revsRpm: { lowest: 0, highest: 20_000, unit: 'rpm' },
  coolantCelsius: { lowest: -60, highest: 200, unit: '°C' },
} as const satisfies Record<string, Limits>;
export type RoadNumber = keyof typeof ROAD_LIMITS;
export const ROAD_NUMBERS = Object.keys(ROAD_LIMITS) as RoadNumber[];

export const roadNumber = (draft: FollowUpDraft, field: RoadNumber) =>
  draft[field].trim() === '' ? ok(undefined) : fieldNumber(draft[field], ROAD_LIMITS[field]);

export const codesIn = (draft: FollowUpDraft): Result<string[], 'no-codes'> => {
  const codes = codesFromText.safeParse(draft.codes);
  return codes.success
    ? ok(codes.data)
    : fail('no-codes', refusalOf(codes.error.issues[0]?.message ?? ''), say('app.codes-one-line'));
};

/** Those that somebody types; a vehicle tells by itself. */
export type TypedFollowUp = Exclude<FollowUp['what'], 'vehicle'>;

/** A follow-up as it goes on record; a problem where something has still to be said or put right. */
export function followUpFrom(what: TypedFollowUp, draft: FollowUpDraft): Result<FollowUp, string> {
  switch (what) {
    case 'codes': {
      const codes = codesIn(draft);
      return codes.ok ? ok({ what, codes: codes.value }) : codes;
    }
    case 'readiness':
      return ok({ what, unfinished: draft.unfinished });
    case 'road-test': {
      if (draft.complaint === '')
        return fail('open', say('app.what-of-complaint'), say('app.choose-one-of-three'));
      const numbers: Partial<Record<RoadNumber, number>> = {};
      for (const field of ROAD_NUMBERS) {
        const number = roadNumber(draft, field);
        if (!number.ok) return number;
        if (number.value !== undefined) numbers[field] = number.value;
      }
      const gear = draft.gear.trim();
      return ok({ what, complaint: draft.complaint, ...numbers, ...(gear === '' ? {} : { gear }) });
    }
    case 'recheck':
      // A day that is over, or today, would be its own recheck.
      return z.iso.date().safeParse(draft.onDate).success && draft.onDate > todayHere()
        ? ok({ what, onDate: draft.onDate })
        : fail('no-day', say('app.no-day-yet'), say('app.choose-day-of-recheck'));
  }
}
