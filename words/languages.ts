interface LanguageSpec {
  /** For numbers and dates. */
  locale: string;
}

/** A language is its line here, a folder like `en`, and its line among the catalogues. */
const SPECS = {
  en: { locale: 'en-GB' },
  /** Made by a script, to see what is not worded yet. */
  'en-XA': { locale: 'en-GB' },
} satisfies Record<string, LanguageSpec>;

export type Language = keyof typeof SPECS;
/** Languages that there is a catalogue for. */
export const LANGUAGES = Object.keys(SPECS) as Language[];

/** For numbers and dates; the made-up language keeps those of English. */
export const localeOf = (language: Language): string => SPECS[language].locale;
