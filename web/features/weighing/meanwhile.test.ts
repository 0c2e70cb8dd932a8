import type { JobWeighing, NextReading, Statement, WeighedCause } from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { meanwhile } from './meanwhile.ts';

const told = (text: string) => ({ code: text });
const statement = (sentence: string): Statement => ({
  readingId: 'r1',
  sentence: told(sentence),
  factor: 20,
  strength: 'strong',
});
const cause = (name: string, share: number, said: string[] = []): WeighedCause => ({
  cause: name,
  title: told(name),
  class: 'wire',
  remedy: told(''),
  lanes: [],
  share,
  kinds: [],
  speaksFor: said.map(statement),
  speaksAgainst: [],
});
const next = (title: string) => ({ title: told(title) }) as NextReading;
const weighing = (over: Partial<JobWeighing>): JobWeighing => ({
  stage: 'reasons',
  causes: [],
  verdict: { decided: false, sentence: told('Not proven yet. “a” leads.') },
  gate: [],
  next: [],
  doubtful: [],
  disagreements: [],
  overturns: undefined,
  ...over,
});

const before = weighing({
  causes: [cause('a', 0.7, ['a it was']), cause('b', 0.2)],
  next: [next('return')],
  doubtful: [{ readingId: 'r2', sentence: told('r2 disagrees'), probability: 0.9 }],
});

test('shares are of now, reasons and next reading of before until their own come', () => {
  const ranked = weighing({
    stage: 'ranked',
    causes: [cause('b', 0.6), cause('a', 0.3), cause('c', 0.1)],
    verdict: { decided: false, sentence: told('Looking for what to read next.') },
    gate: [{ label: told('Return good'), state: 'proven' }],
  });
  const shown = meanwhile(before, ranked);
  expect(shown.causes.map(({ cause: name, share }) => [name, share])).toEqual([
    ['b', 0.6],
    ['a', 0.3],
    ['c', 0.1],
  ]);
  expect(shown.causes.map(({ speaksFor }) => speaksFor.map(({ sentence }) => sentence.code))).toEqual([
    [],
    ['a it was'],
    [],
  ]);
  expect(shown.next).toEqual([next('return')]);
  expect(shown.verdict.sentence).toEqual(told('Not proven yet. “a” leads.'));
  expect(shown.gate).toEqual(ranked.gate);
  expect(shown.doubtful).toEqual(before.doubtful);
});

test('what has come is shown, also where nothing is left to read', () => {
  const suggested = weighing({ stage: 'ranked', next: [next('signal')] });
  expect(meanwhile(before, suggested).next).toEqual([next('signal')]);
  const found = weighing({ stage: 'next', verdict: { decided: false, sentence: told('New.') } });
  expect(meanwhile(before, found)).toMatchObject({ next: [], verdict: { sentence: told('New.') } });
  const complete = weighing({ causes: [cause('b', 1, ['b it is'])] });
  expect(meanwhile(before, complete)).toBe(complete);
  expect(meanwhile(undefined, suggested)).toBe(suggested);
});

test('nothing stands as proven on the readings of before', () => {
  const proven = weighing({ verdict: { decided: true, cause: 'a', class: 'wire', sentence: told('A.') } });
  const ranked = weighing({ stage: 'ranked', verdict: { decided: false, sentence: told('Looking.') } });
  expect(meanwhile(proven, ranked).verdict).toEqual({ decided: false, sentence: told('Looking.') });
});
