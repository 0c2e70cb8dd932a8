import { expect, test } from 'vitest';
import { unlikeInWords } from './plugWords.ts';

test('what is not as a sound wire is told with what a sound one shows', () => {
  expect(unlikeInWords('return', { test: 'open-ohms', value: 14, lowest: -2, highest: 3.5 })).toBe(
    '! Not as a sound return: to ground 14.0 Ω, a sound one 3.5 Ω at most. Judge it on the sheet.',
  );
  expect(unlikeInWords('signal', { test: 'moves', value: 0, lowest: 1, highest: 1 })).toContain(
    'stays, a sound one follows',
  );
});
