import type { TerminalFinding } from '@lettura/core/judge/wireFinder';
import { expect, test } from 'vitest';
import { plugOf, roleOfPin } from './plugOf.ts';

const found = (roles: readonly (TerminalFinding['role'] | undefined)[]): TerminalFinding[] =>
  roles.map((role, terminal) =>
    role
      ? { terminal, role, confidence: 'certain', share: 1, couldBe: [] }
      : { terminal, confidence: 'open', share: 0, couldBe: [] },
  );

test('found roles become the plug, the second of a kind as the second track', () => {
  const plug = plugOf(found(['signal', 'reference', 'return', 'signal', 'reference', 'return']), []);
  expect(plug?.map(({ wire }) => wire)).toEqual([
    'signal',
    'reference',
    'return',
    'second-signal',
    'second-reference',
    'second-return',
  ]);
  expect(plug?.map(({ terminal }) => terminal)).toEqual(['1', '2', '3', '4', '5', '6']);
});

test('names and colours of the list stay with their terminals', () => {
  const listed = [
    { terminal: 'A', wire: 'return', colour: 'black' },
    { terminal: 'B', wire: 'signal', colour: 'green' },
    { terminal: 'C', wire: 'reference', colour: 'red' },
  ] as const;
  expect(plugOf(found(['reference', 'signal', 'return']), listed)).toEqual([
    { terminal: 'A', wire: 'reference', colour: 'black' },
    { terminal: 'B', wire: 'signal', colour: 'green' },
    { terminal: 'C', wire: 'return', colour: 'red' },
  ]);
});

test('while one terminal is open there is no plug', () =>
  expect(plugOf(found(['reference', undefined, 'return']), [])).toBeUndefined());

test('what is found and written onto the plug is read back as the same role', () => {
  const roles = ['reference', 'return', 'signal', 'temperature', 'battery-feed', 'motor'] as const;
  expect(plugOf(found(roles), [])?.map(({ wire }) => roleOfPin(wire))).toEqual(roles);
});
