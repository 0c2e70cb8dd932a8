import { accented } from './accented.ts';
import { ENGLISH_MESSAGES } from './en/index.ts';
import type { Language } from './reader.ts';

type Catalogue = Readonly<Record<string, string>>;
const kept = new Map<Language, Catalogue>([['en', ENGLISH_MESSAGES]]);

/** The messages of a language, by their codes. */
export function catalogueOf(language: Language): Catalogue {
  const known = kept.get(language);
  if (known) return known;
  // Made when it is first asked for: nobody reads it but a test.
  const made = Object.fromEntries(
    Object.entries(ENGLISH_MESSAGES).map(([code, message]) => [code, accented(message)]),
  );
  kept.set(language, made);
  return made;
}
