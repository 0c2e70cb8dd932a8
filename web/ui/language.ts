import { LANGUAGES, type Language } from '@lettura/words/languages';

/** Kept apart from the other preferences: it is known before anything is drawn, and another one starts the page anew. */
const KEY = 'lettura.language';

function chosen(): Language {
  try {
    const kept = globalThis.localStorage?.getItem(KEY);
    return LANGUAGES.find((one) => one === kept) ?? 'en';
  } catch {
    // Storage may be forbidden altogether.
    return 'en';
  }
}

/** Of this page, as long as it is open. */
export const LANGUAGE: Language = chosen();
