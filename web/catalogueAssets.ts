import { parse } from '@formatjs/icu-messageformat-parser';
import { catalogueOf } from '../words/catalogues.ts';
import { LANGUAGES, type Language } from '../words/languages.ts';
import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';

const CATALOGUES = fileURLToPath(new URL('../words/catalogues.ts', import.meta.url));
const LANGUAGE = fileURLToPath(new URL('./ui/language.ts', import.meta.url));

/**
 * A built page fetches the one catalogue that it speaks, parsed ahead of time, beside its script: it carries neither those of other
 * languages nor a parser for them.
 */
export function catalogueAssets(): Plugin {
  const files = new Map<Language, string>();
  return {
    name: 'lettura-catalogues',
    apply: 'build',
    enforce: 'pre',
    load(id) {
      if (id !== CATALOGUES) return null;
      for (const language of LANGUAGES) {
        const catalogue = catalogueOf(language);
        const parsed = Object.keys(catalogue).map((code) => {
          const message = catalogue[code]!;
          return [code, typeof message === 'string' ? parse(message) : message] as const;
        });
        const source = JSON.stringify(Object.fromEntries(parsed));
        files.set(language, this.emitFile({ type: 'asset', name: `${language}.json`, source }));
      }
      const urls = [...files].map(([language, file]) => `'${language}': import.meta.ROLLUP_FILE_URL_${file}`);
      return {
        code: `
          import { LANGUAGE } from ${JSON.stringify(LANGUAGE)};
          const answer = await fetch({ ${urls.join(', ')} }[LANGUAGE]);
          if (!answer.ok) throw new Error('The words of this page could not be loaded. Load it again.');
          const messages = await answer.json();
          export const catalogueOf = () => messages;
        `,
        moduleSideEffects: false,
      };
    },
    transformIndexHtml: {
      order: 'post',
      handler(_html, { bundle }) {
        const english = Object.values(bundle ?? {}).find(
          (one) => one.type === 'asset' && one.names.includes('en.json'),
        );
        if (!english) return [];
        // Beside the scripts rather than after them.
        const attrs = { rel: 'preload', as: 'fetch', crossorigin: '', href: `/${english.fileName}` };
        return [{ tag: 'link', attrs, injectTo: 'head' }];
      },
    },
  };
}
