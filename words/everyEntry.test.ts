import { CIRCUMSTANCE_IDS, circumstanceWords } from '@lettura/core/judge/priors';
import { FAULT_KINDS } from '@lettura/core/machine/fault';
import { KNOWN_CODES, readCode } from '@lettura/core/record/code';
import { OBSERVATION_IDS, observationOf } from '@lettura/core/record/observation';
import { expect, test } from 'vitest';
import { inWords } from './index.ts';

/** What the core has tables of is said by each entry: in English here, as the other catalogues are held against this one. */

test('every kind of fault says what it is, looks like and where it hides', () => {
  for (const { id, name, sentence, looksLike, hides } of FAULT_KINDS) {
    expect(inWords(name), id).toMatch(/^[a-z].*\S$/u);
    for (const words of [sentence, looksLike, hides]) expect(inWords(words), id).toMatch(/^[A-Z].{15,}\.$/u);
  }
});

test('every code can be said, with what it means and what it does not', () => {
  for (const { code } of KNOWN_CODES) {
    const { saw, means, notSaid } = inWords(readCode(code));
    expect(saw).toMatch(/^The unit saw .+\.$/u);
    expect(means).toMatch(/\.$/u);
    expect(notSaid).toMatch(/^It does not say /u);
  }
});

test('every look asks a question that its two answers answer, and says how it is taken', () => {
  for (const id of OBSERVATION_IDS) {
    const { question, yes, no, how } = inWords(observationOf(id));
    expect(question, id).toMatch(/\?$/u);
    expect(yes, id).not.toBe(no);
    expect(how.length, id).toBeGreaterThan(20);
  }
});

test('every circumstance has a name of its own', () => {
  const names = CIRCUMSTANCE_IDS.map((id) => inWords(circumstanceWords(id)));
  expect(new Set(names).size).toBe(CIRCUMSTANCE_IDS.length);
  for (const name of names) expect(name).toMatch(/^[a-z].*[^.]$/u);
});
