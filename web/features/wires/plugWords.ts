import { ohmsInWords } from '@lettura/core/measure/quantity';
import {
  roleSaid,
  type PlugReading,
  type PlugTest,
  type Role,
  type Unlike,
} from '@lettura/core/judge/wireFinder';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { said, t } from '../../ui/words.ts';

const FED_ANSWERS = [
  t('ui-wires.nothing-follows-2'),
  t('ui-wires.value-follows'),
  t('ui-wires.temperature-follows-2'),
];

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
      return FED_ANSWERS[value] ?? t('ui-wires.nothing-follows-2');
  }
}

const WHERE: Record<PlugTest, string> = {
  'open-volts': t('ui-wires.plug-off'),
  'connected-volts': t('ui-wires.connected'),
  'open-ohms': t('ui-wires.to-ground'),
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
        ? t('ui-wires.or-more', { value: valueInWords(test, lowest) })
        : lowest <= 0
          ? t('ui-wires.at-most', { value: valueInWords(test, highest) })
          : t('ui-wires.to', { value: valueInWords(test, lowest), value2: valueInWords(test, highest) });
  return t('ui-wires.not-sound-sound-one-judge', {
    role: said(roleSaid(role)),
    reading: readingInWords({ test, value }),
    sound,
  });
}
