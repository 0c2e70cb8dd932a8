import type { CanFrame } from './canFrame.ts';

/*
 * Who speaks to whom in a vehicle's own diagnosis: ISO 15765-4, both widths of identifier, from memory. A tester asks all units
 * at once, or one by its number; a unit is known by the identifier that it answers with.
 */

/** Asks every unit that has to do with emissions. */
const ALL_UNITS = { standard: 0x7df, extended: 0x18db33f1 } as const;
const FIRST_ANSWER = 0x7e8;
const LAST_ANSWER = 0x7ef;
/** A unit of an eleven-bit bus is asked this far below the identifier that it answers with. */
const ASKED_BELOW = 8;
const TESTER = 0xf1;
/** 18DAxxyy: to xx from yy. */
const TO_FROM = 0x18da0000;

/** A unit, by the identifier of its answers. */
export interface UnitAddress {
  answersWith: number;
  isExtended: boolean;
}

/** Whom a request goes to: all of them in one width of identifier, or one. */
export type Asked = UnitAddress | 'all-standard' | 'all-extended';

/** The unit that sent a frame; undefined where it is no answer to a tester. */
export function unitOf({ id, isExtended }: CanFrame): UnitAddress | undefined {
  const answers = isExtended
    ? (id & 0xffff_ff00) >>> 0 === ((TO_FROM | (TESTER << 8)) & 0xffff_ff00) >>> 0
    : id >= FIRST_ANSWER && id <= LAST_ANSWER;
  return answers ? { answersWith: id, isExtended } : undefined;
}

/** The identifier that a request is sent with. */
export function askedWith(asked: Asked): Pick<CanFrame, 'id' | 'isExtended'> {
  if (asked === 'all-standard') return { id: ALL_UNITS.standard, isExtended: false };
  if (asked === 'all-extended') return { id: ALL_UNITS.extended, isExtended: true };
  const { answersWith, isExtended } = asked;
  if (!isExtended) return { id: answersWith - ASKED_BELOW, isExtended };
  return { id: (TO_FROM | ((answersWith & 0xff) << 8) | TESTER) >>> 0, isExtended };
}

/** As it stands on a screen: `7E8`, or the number of the unit in the wide form. */
export const unitName = ({ answersWith, isExtended }: UnitAddress): string =>
  (isExtended ? answersWith & 0xff : answersWith).toString(16).toUpperCase().padStart(2, '0');

/** Whether two are one. */
export const sameUnit = (a: UnitAddress, b: UnitAddress): boolean =>
  a.answersWith === b.answersWith && a.isExtended === b.isExtended;
