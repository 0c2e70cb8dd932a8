import { expect, test } from 'vitest';
import { MOST_STEPS, ownSteps } from './ownSteps.ts';

test('steps are read with blanks, semicolons, or commas that a blank follows, in order and each once', () => {
  expect(ownSteps('0 5 10')).toEqual([0, 5, 10]);
  expect(ownSteps(' 0; 2,5; 5 ')).toEqual([0, 2.5, 5]);
  expect(ownSteps('0, 10, 5, 10')).toEqual([0, 5, 10]);
});

test('nothing is guessed: what is no number, or below nothing, gives no steps at all', () => {
  for (const text of [
    '',
    '0,5,10',
    '0 five',
    '-5 0',
    Array.from({ length: MOST_STEPS + 1 }, (_, i) => i).join(' '),
  ])
    expect(ownSteps(text), text).toBeUndefined();
});
