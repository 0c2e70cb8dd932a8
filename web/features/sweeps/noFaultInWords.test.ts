import { expect, test } from 'vitest';
import { noFaultInWords } from './noFaultInWords.ts';

test.each([
  [[], /not on record/u],
  [[{ kind: 'looked', weight: 'note' }], /^✓ No fault in what was looked at\.$/u],
  [
    [
      { kind: 'telegrams', weight: 'note' },
      { kind: 'looked', weight: 'note' },
    ],
    /^✓ No fault in what was looked at\.$/u,
  ],
  [
    [
      { kind: 'line-held', weight: 'note' },
      { kind: 'looked', weight: 'note' },
    ],
    /^\? Whether there is a fault/u,
  ],
  [
    [
      { kind: 'telegrams-unread', weight: 'note' },
      { kind: 'looked', weight: 'note' },
    ],
    /^\? Whether there is a fault/u,
  ],
  [[{ kind: 'garbled', weight: 'note' }], /^\? Whether there is a fault/u],
  [[{ kind: 'pulses', weight: 'note' }], /^\? Whether there is a fault/u],
  [
    [
      { kind: 'pulses', weight: 'note' },
      { kind: 'pulse-value', weight: 'note' },
      { kind: 'looked', weight: 'note' },
    ],
    /^✓ No fault in what was looked at\.$/u,
  ],
  [[{ kind: 'not-looked', weight: 'note' }], /^\? Nothing was looked at/u],
] as const)('%j says no more than was looked at', (findings, words) => {
  expect(noFaultInWords(findings)).toMatch(words);
});

test('a fault is never called none', () => {
  expect(
    noFaultInWords([
      { kind: 'dropout', weight: 'fault' },
      { kind: 'looked', weight: 'note' },
    ]),
  ).toBeUndefined();
});
