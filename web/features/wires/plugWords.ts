import { ohmsInWords } from '@lettura/core/measure/quantity';
import {
  roleSaid,
  type PlugReading,
  type PlugTest,
  type Role,
  type Unlike,
} from '@lettura/core/judge/wireFinder';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { said } from '../../ui/words.ts';

const FED_ANSWERS = ['nothing follows', 'its value follows', 'a temperature follows'];

function valueInWords(test: PlugTest, value: number): string {
  switch (test) {
    case 'open-volts':
    case 'connected-volts':
      return voltsInWords(value);
    case 'open-ohms':
      return ohmsInWords(value);
    case 'moves':
      return value === 1 ? 'follows' : 'stays';
    case 'fed':
      return FED_ANSWERS[value] ?? 'nothing follows';
  }
}

const WHERE: Record<PlugTest, string> = {
  'open-volts': 'plug off ',
  'connected-volts': 'connected ',
  'open-ohms': 'to ground ',
  moves: '',
  fed: 'fed: ',
};

export const readingInWords = ({ test, value }: Pick<PlugReading, 'test' | 'value'>): string =>
  WHERE[test] + valueInWords(test, value);

/** What speaks against the named wire being sound, with what a sound one shows. */
export function unlikeInWords(role: Role, { test, value, lowest, highest }: Unlike): string {
  const sound =
    test === 'moves' || test === 'fed'
      ? valueInWords(test, highest)
      : highest === Infinity
        ? `${valueInWords(test, lowest)} or more`
        : lowest <= 0
          ? `${valueInWords(test, highest)} at most`
          : `${valueInWords(test, lowest)} to ${valueInWords(test, highest)}`;
  return `! Not as a sound ${said(roleSaid(role))}: ${readingInWords({ test, value })}, a sound one ${sound}. Judge it on the sheet.`;
}
