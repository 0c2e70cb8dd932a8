import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js';

/** Languages need more room than English: so much more, as a share of its letters. */
const LONGER = 0.3;
const ACCENTS: Readonly<Record<string, string>> = Object.fromEntries(
  [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter, i) => [
    letter,
    [...'áƀčďéƒǧĥíǰķĺḿńóṕɋřšţúṽŵẋýžÁƁČĎÉƑǦĤÍĴĶĹḾŃÓṔɊŘŠŢÚṼŴẊÝŽ'][i]!,
  ]),
);

/** A text in no language: every letter has its accent, and it is as much longer as a translation may be. */
export const accentedText = (text: string): string => {
  const letters = [...text].filter((letter) => letter in ACCENTS).length;
  const accented = [...text].map((letter) => ACCENTS[letter] ?? letter).join('');
  const more = 'ö'.repeat(Math.round(letters * LONGER));
  // Behind the last word rather than behind its full stop, so that a sentence still ends like one.
  return accented.replace(/([.,;:?!]?\s*)$/u, `${more}$1`);
};

/** The same message with its words accented, and its values and choices as they were. */
export const accented = (message: string): string => printAST(parse(message).map(elementAccented));

function elementAccented(element: MessageFormatElement): MessageFormatElement {
  switch (element.type) {
    case TYPE.literal:
      return { ...element, value: accentedText(element.value) };
    case TYPE.select:
    case TYPE.plural:
      return {
        ...element,
        options: Object.fromEntries(
          Object.entries(element.options).map(([name, option]) => [
            name,
            { ...option, value: option.value.map(elementAccented) },
          ]),
        ),
      };
    case TYPE.argument:
    case TYPE.number:
    case TYPE.date:
    case TYPE.time:
    case TYPE.pound:
    case TYPE.tag:
      return element;
  }
}
