import {
  fixed,
  list,
  NOTHING_TO_SAY,
  say,
  verbatim,
  type Message,
  type MessageList,
} from '../../measure/message/index.ts';
import type { MonitorId, UnitReport } from '../onBoard/index.ts';

/** Of the complaint, after a road test. */
export const COMPLAINT_ANSWERS = ['gone', 'still-there', 'not-brought-about'] as const;
export type ComplaintAnswer = (typeof COMPLAINT_ANSWERS)[number];

/** How hard it was driven; what nobody looked at is left out. */
export interface RoadConditions {
  loadPercent?: number | undefined;
  revsRpm?: number | undefined;
  gear?: string | undefined;
  coolantCelsius?: number | undefined;
}

/** What was looked at after a repair, beside the same tests again. */
export type FollowUp =
  | { what: 'codes'; codes: string[] }
  | { what: 'readiness'; unfinished: MonitorId[] }
  | ({ what: 'road-test'; complaint: ComplaintAnswer } & RoadConditions)
  | { what: 'recheck'; onDate: string }
  /** What its control units said when they were asked by a tester. */
  | { what: 'vehicle'; units: UnitReport[] };
export type FollowUpId = FollowUp['what'];

/** What was looked at after the work. */
export const followUpSaid = (what: FollowUpId): Message => say(`follow-up.${what}`);

/** How it was driven, in brackets; nothing where nobody said. */
export function roadSaid({
  loadPercent,
  revsRpm,
  gear,
  coolantCelsius,
}: RoadConditions): Message | MessageList {
  const said = [
    ...(loadPercent === undefined ? [] : [say('follow-up.at-load', { load: fixed(loadPercent, 0, '%') })]),
    ...(revsRpm === undefined ? [] : [say('follow-up.at-revs', { revs: fixed(revsRpm, 0, 'rpm') })]),
    ...(gear === undefined ? [] : [say('follow-up.in-gear', { gear: verbatim(gear) })]),
    ...(coolantCelsius === undefined
      ? []
      : [say('follow-up.at-coolant', { celsius: fixed(coolantCelsius, 0, '°C') })]),
  ];
  return said.length === 0 ? NOTHING_TO_SAY : say('follow-up.conditions', { conditions: list(said) });
}
