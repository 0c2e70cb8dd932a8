import type { MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { accented } from './accented.ts';
import { ENGLISH_MESSAGES } from './en/index.ts';
import type { Language } from './languages.ts';

/** The messages of a language, by their codes; parsed already where that was done ahead of time. */
export type Catalogue = Readonly<Record<string, string>> | Readonly<Record<string, MessageFormatElement[]>>;

const MADE: Readonly<Record<Language, () => Readonly<Record<string, string>>>> = {
  en: () => ENGLISH_MESSAGES,
  'en-XA': () =>
    Object.fromEntries(Object.entries(ENGLISH_MESSAGES).map(([code, message]) => [code, accented(message)])),
};

const kept = new Map<Language, Catalogue>();
/**
 * The messages of a language, by their codes; made when they are first asked for. A page is built with the one catalogue that it
 * fetches in place of this module: see `web/catalogueAssets.ts`.
 */
export function catalogueOf(language: Language): Catalogue {
  const known = kept.get(language) ?? MADE[language]();
  kept.set(language, known);
  return known;
}
