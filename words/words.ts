import { createIntl, createIntlCache, type IntlShape } from '@formatjs/intl';
import type { Message, MessageList, Value } from '@lettura/core/measure/message';
import { catalogueOf } from './catalogues.ts';
import { localeOf } from './languages.ts';
import { isBeyondCounting, quantityWords } from './numbers.ts';
import type { Reader } from './reader.ts';

/** Whatever the core has to say, in the words of one reader. */
export interface Words {
  /** A sentence begins with a capital letter, whatever value it begins with; anything else is as it stands in a row. */
  say(message: Message): string;
  /** With a capital letter at its beginning: for a heading, a label or a cell of its own. */
  title(message: Message): string;
  /** A quantity, a list or anything else that can be said, where it stands alone. */
  value(value: Value): string;
}

const kept = new Map<string, Words>();

/** The words of a reader; the same object for the same reader. */
export function wordsFor(reader: Reader): Words {
  const key = `${reader.language} ${reader.pressureUnit} ${reader.vacuumUnit ?? reader.pressureUnit}`;
  const words = kept.get(key) ?? makeWords(reader);
  kept.set(key, words);
  return words;
}

const cache = createIntlCache();

function makeWords(reader: Reader): Words {
  const intl = createIntl(
    {
      locale: localeOf(reader.language),
      messages: { ...catalogueOf(reader.language) },
      onError: (error) => {
        throw error;
      },
    },
    cache,
  );
  const say = (message: Message): string => worded(message, intl, reader);
  return {
    say,
    title: (message) => upperFirst(say(message)),
    value: (value) => String(valueWords(value, intl, reader)),
  };
}

function worded({ code, values }: Message, intl: IntlShape<string>, reader: Reader): string {
  // From a newer server, which says what this page has no words for: better its code than nothing.
  if (!(code in intl.messages)) return code;
  const shown: Record<string, string | number> = {};
  for (const [name, value] of Object.entries(values ?? {})) shown[name] = valueWords(value, intl, reader);
  try {
    return sentence(code, intl.formatMessage({ id: code }, shown));
  } catch {
    // Of an older record, which lacks what the message shows by now: no screen falls for that.
    return code;
  }
}

/** A title begins with a capital letter, and so does what ends like a sentence, whatever value it begins with, alone and within another. */
const sentence = (code: string, text: string): string =>
  code.endsWith('.title') || /[.?!]$/u.test(text.trimEnd()) ? upperFirst(text.trimEnd()) : text;

/** Numbers stay numbers, for the plural and the number forms of a message; choices stay what they choose. */
function valueWords(value: Value, intl: IntlShape<string>, reader: Reader): string | number {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'object') return value;
  if ('code' in value) return worded(value, intl, reader);
  if ('verbatim' in value) return value.verbatim;
  if ('list' in value) return listWords(value, intl, reader);
  const words = quantityWords(value, reader);
  if (!('times' in value)) return words;
  return intl.formatMessage(
    { id: isBeyondCounting(value.times) ? 'say.over-times' : 'say.times' },
    { times: words },
  );
}

function listWords({ list, joined }: MessageList, intl: IntlShape<string>, reader: Reader): string {
  const items = list.map((one) => String(valueWords(one, intl, reader)));
  switch (joined) {
    case 'commas':
      return items.join(', ');
    case 'semicolons':
      return items.join('; ');
    case 'sentences':
      return items.map(upperFirst).join(' ');
    case 'and':
    case 'or':
      return items.reduce(
        (before, item) =>
          before === '' ? item : intl.formatMessage({ id: `say.${joined}` }, { before, item }),
        '',
      );
  }
}

const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
