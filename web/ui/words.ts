import { refusalOf } from '@lettura/contract';
import type { Message, Value } from '@lettura/core/measure/message';
import { wordsFor, type Words } from '@lettura/words';
import { LANGUAGE } from './language.ts';
import type { Units } from './units.ts';

/** The words of whoever reads this page in these units. */
export const wordsIn = ({ absolute, vacuum }: Units): Words =>
  wordsFor({ language: LANGUAGE, pressureUnit: absolute, vacuumUnit: vacuum });

const withoutUnits = wordsIn({ absolute: 'kPa', vacuum: 'kPa' });
/** What has no pressure in it, and so is the same in all units. */
export const said = (message: Message): string => withoutUnits.say(message);
export const titled = (message: Message): string => withoutUnits.title(message);
export const valueSaid = (value: Value): string => withoutUnits.value(value);

/** What a form's schema says of a field. */
export function refused(text: string): string;
export function refused(text: string | undefined): string | undefined;
export function refused(text: string | undefined): string | undefined {
  return text === undefined ? undefined : said(refusalOf(text));
}

export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What is said in a place of its own on the screen; a text among its values is shown as it is. */
export const t = <const C extends string>(
  code: C,
  values?: Readonly<Record<string, Value | string>>,
): string => withoutUnits.say(values ? { code, values } : { code });
