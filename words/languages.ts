import { accented } from './accented.ts';
import { ENGLISH_MESSAGES } from './en/index.ts';

/** The messages of a language, by their codes. */
export type Catalogue = Readonly<Record<string, string>>;

interface LanguageSpec {
  /** For numbers and dates. */
  locale: string;
  messages: () => Catalogue;
}

/** A language is a folder like `en` and its line here. */
const SPECS = {
  en: { locale: 'en-GB', messages: () => ENGLISH_MESSAGES },
  /** Made by a script, to see what is not worded yet. */
  'en-XA': {
    locale: 'en-GB',
    messages: () =>
      Object.fromEntries(
        Object.entries(ENGLISH_MESSAGES).map(([code, message]) => [code, accented(message)]),
      ),
  },
} satisfies Record<string, LanguageSpec>;

export type Language = keyof typeof SPECS;
/** Languages that there is a catalogue for. */
export const LANGUAGES = Object.keys(SPECS) as Language[];

/** For numbers and dates; the made-up language keeps those of English. */
export const localeOf = (language: Language): string => SPECS[language].locale;

const kept = new Map<Language, Catalogue>();
/** The messages of a language, by their codes; made when they are first asked for. */
export function catalogueOf(language: Language): Catalogue {
  const known = kept.get(language) ?? SPECS[language].messages();
  kept.set(language, known);
  return known;
}
