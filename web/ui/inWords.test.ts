import { expect, test } from 'vitest';
import { causeInWords } from './causeInWords.ts';
import { briefState, expectationInWords, placeInWords, valueInWords, vacuumInWords } from './inWords.ts';
import { ageInWords } from './when.ts';
import { codesFromText } from './codesFromText.ts';
import { refused } from './words.ts';

const units = { absolute: 'kPa', vacuum: 'inHg' } as const;
const common = {
  id: 'a',
  jobId: 'b',
  takenAt: '2026-11-24T08:00:00.000Z',
  enteredText: '',
  state: { engine: 'idle', plug: 'connected' },
} as const;
const ambient = { pressureKpaAbs: 100, expandedUncertaintyKpa: 0.3, source: 'barometer' } as const;

test('each reading is shown in its own unit and with its basis', () => {
  expect(valueInWords({ ...common, kind: 'wire', lane: 'signal', place: 'plug', volts: 0.0124 }, units)).toBe(
    '12 mV',
  );
  expect(valueInWords({ ...common, kind: 'scan', measures: 'absolute-pressure', value: 47 }, units)).toBe(
    '47 kPa abs',
  );
  const live = { ...common, kind: 'live-volts', lane: 'second-signal', volts: 0.456 } as const;
  expect(`${placeInWords(live)}: ${valueInWords(live, units)}`).toBe(
    'Live data of the second signal, in volts: 456 mV',
  );
  const gauge = { ...common, kind: 'gauge', tap: 'manifold', pressureKpa: 55.875 } as const;
  expect(valueInWords({ ...gauge, basis: 'vacuum' }, units)).toBe('16.50 inHg vac');
  expect(valueInWords({ ...gauge, basis: 'absolute' }, units)).toBe('55.9 kPa abs');
});

test.each([
  ['absolute-pressure', 100.9, 101.1, 'about 101 kPa abs'],
  ['absolute-pressure', 98.4, 104.2, '98 to 104 kPa abs'],
  ['position', 3.02, 2.98, 'about 3.0 %'],
  ['position', 0, 7, '0.0 to 7.0 %'],
  ['volts', 2.24, 2.37, '2.24 to 2.37 V'],
  ['volts', 0, 0.05, '0 to 50 mV'],
] as const)('%s from %d to %d is expected as “%s”', (of, lowest, highest, words) =>
  expect(
    expectationInWords(
      { of, lowest, highest, reason: { code: 'families.no-air-moves' } },
      { kind: 'scan' },
      units,
      ambient,
    ),
  ).toBe(words),
);

test('a pressure above ambient says so instead of showing a negative vacuum', () => {
  expect(vacuumInWords(70, ambient, units)).toBe('8.86 inHg of vacuum'); // 30 / 3.386389 by hand
  expect(vacuumInWords(130, ambient, units)).toBe('8.86 inHg above ambient');
});

test.each([
  [20_000, 'just now'],
  [5 * 60_000, '5 min ago'],
  [3 * 3_600_000, '3 hr ago'],
  [72 * 3_600_000, '3 days ago'],
])('%d ms ago is %s', (ms, words) => {
  const instant = '2026-11-24T08:00:00.000Z';
  expect(ageInWords(instant, Date.parse(instant) + ms)).toBe(words);
});

test('only a plug that is off is worth a word', () => {
  expect(briefState({ engine: 'idle', plug: 'connected' })).toBe('idle');
  expect(briefState({ engine: 'koeo', plug: 'unplugged' })).toBe('key on, engine off, plug off');
});

test('codes are read from one line, and the wrong one is named', () => {
  expect(codesFromText.parse('p0107, P0108;U0100')).toEqual(['P0107', 'P0108', 'U0100']);
  expect(codesFromText.parse('  ')).toEqual([]);
  const wrong = codesFromText.safeParse('P0107 brakes');
  expect(refused(wrong.error?.issues[0]?.message)).toContain('“brakes”: A code is a letter and four digits');
});

test('a verdict is told by the cause’s own title', () => {
  expect(causeInWords('not-proven')).toBe('Not proven yet');
  expect(causeInWords('reference-open')).toBe('Reference wire open');
});
