import { list, NOTHING_TO_SAY, say, verbatim, volts } from '@lettura/core/measure/message';
import { laneSaid, stateSaid } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import { accented, accentedText } from './accented.ts';
import { catalogueOf } from './catalogues.ts';
import { ENGLISH_MESSAGES } from './en/index.ts';
import { ENGLISH, inWords, wordsFor } from './index.ts';

const { say: said, title, value } = wordsFor(ENGLISH);

test('a sentence begins with a capital, alone and within another; what is part of one does not', () => {
  expect(said(laneSaid('second-signal'))).toBe('second signal');
  expect(title(laneSaid('second-signal'))).toBe('Second signal');
  const sentence = say('weighing.is-read', { reading: laneSaid('return') });
  expect(said(sentence)).toBe('Return.');
  expect(said(say('verdict.something-wrong', { remark: sentence }))).toBe('Something is wrong. Return.');
});

test('a title begins with a capital wherever it stands', () => {
  const wires = list([laneSaid('signal'), laneSaid('return')], 'and');
  const cause = say('cause.wires-together.title', { wires });
  expect(said(cause)).toBe('Signal and return wires touch each other');
  expect(said(say('verdict.leads-alone', { title: cause }))).toBe(
    '“Signal and return wires touch each other” leads.',
  );
});

test.each([
  ['commas', 'signal, return, reference'],
  ['and', 'signal and return and reference'],
  ['or', 'signal, or return, or reference'],
  ['semicolons', 'signal; return; reference'],
] as const)('a list joined by %s is “%s”', (joined, words) =>
  expect(value(list([laneSaid('signal'), laneSaid('return'), laneSaid('reference')], joined))).toBe(words),
);

test('nothing is said for nothing, and a state names what is done to the machine', () => {
  expect(value(NOTHING_TO_SAY)).toBe('');
  expect(value(stateSaid({ engine: 'koeo', plug: 'unplugged' }))).toBe('key on, engine off, plug off');
});

test('what this page has no words for, or lacks a value, is shown by its code: no screen falls for it', () => {
  expect(said({ code: 'sweep.of-tomorrow', values: { volts: { volts: 1 } } })).toBe('sweep.of-tomorrow');
  expect(said({ code: 'checks.only-lost-over-under-load' })).toBe('checks.only-lost-over-under-load');
});

test('text that a person wrote stays as it is, whatever it looks like', () => {
  const name = '{count, plural, one {x}} <b>';
  expect(said(say('sweep.named', { name: verbatim(name) }))).toBe(`“${name}”`);
});

test('messages are worded however deep, and everything else stays', () => {
  const buffer = new Float64Array(2);
  expect(
    inWords({ at: [{ lane: laneSaid('signal'), volts: 1, buffer }], code: 'x=y', none: undefined }),
  ).toEqual({
    at: [{ lane: 'signal', volts: 1, buffer }],
    code: 'x=y',
    none: undefined,
  });
});

test('the made-up language has every message, longer and with no plain letter, and the same values', () => {
  expect(Object.keys(catalogueOf('en-XA'))).toEqual(Object.keys(ENGLISH_MESSAGES));
  expect(accentedText('Signal at')).toBe('Šíǧńáĺ áţöö');
  expect(accented('{low, select, yes {low} other {high}}: {volts}.')).toMatch(/yes\{ĺóŵö\}.*\{volts\}/u);
  const words = wordsFor({ language: 'en-XA', pressureUnit: 'kPa' });
  expect(words.say(say('checks.only-lost-over-under-load', { volts: volts(2.5) }))).toContain('2.50 V');
});
