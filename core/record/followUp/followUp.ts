import {
  fixed,
  list,
  NOTHING_TO_SAY,
  say,
  verbatim,
  type Message,
  type MessageList,
} from '../../measure/message/index.ts';

/**
 * Self-tests of a control unit, as SAE J1979 names them in item 01 of service 01 (from memory), for both ways of ignition:
 * a code that needs one cannot come back before it has finished.
 */
export const MONITOR_IDS = [
  'misfire',
  'fuel-system',
  'components',
  'catalyst',
  'heated-catalyst',
  'evaporative',
  'secondary-air',
  'oxygen-sensor',
  'oxygen-sensor-heater',
  'egr-vvt',
  'nmhc-catalyst',
  'nox',
  'boost',
  'exhaust-gas-sensor',
  'particulate-filter',
] as const;
export type MonitorId = (typeof MONITOR_IDS)[number];

/** What a monitor of readiness watches. */
export const monitorSaid = (id: MonitorId): Message => say(`monitor.${id}`);

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
  | { what: 'recheck'; onDate: string };
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
