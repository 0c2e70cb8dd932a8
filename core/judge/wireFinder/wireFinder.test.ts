import { expect, test } from 'vitest';
import { findWires, readPlugValue, TERMINAL_COUNTS, type PlugReading, type PlugTest } from './index.ts';

const readings = (test: PlugTest, values: readonly number[]): PlugReading[] =>
  values.map((value, terminal) => ({ terminal, test, value }));
const named = (all: readonly PlugReading[], terminals: 3 | 4 = 3) =>
  findWires(terminals, all).terminals.map(({ role, confidence }) => `${confidence} ${role}`);

test('three wires by the book: 5 V that stays, 0 Ω to ground, and the one that follows', () => {
  expect(
    named([
      ...readings('open-volts', [4.99, 0.006, 0.008]),
      ...readings('open-ohms', [1200, 0.4, 470_000]),
      ...readings('connected-volts', [4.97, 0.012, 1.4]),
      ...readings('moves', [0, 0, 1]),
    ]),
  ).toEqual(['certain reference', 'certain return', 'certain signal']);
});

test('open volts alone cannot tell a pulled-up signal from the reference', () => {
  const found = findWires(3, readings('open-volts', [4.99, 4.98, 0.005]));
  const [first] = found.terminals;
  expect(first?.confidence).not.toBe('certain');
  expect([first?.role, ...(first?.couldBe ?? []).map(({ role }) => role)]).toEqual(
    expect.arrayContaining(['reference', 'signal']),
  );
  expect(found.next).toBeDefined();
});

test('two unknown signals: the one that follows the pump is the pressure, the other the temperature', () => {
  const all = [
    ...readings('open-volts', [0.006, 4.98, 4.99, 4.98]),
    ...readings('open-ohms', [0.4, 2200, 1200, 220_000]),
    ...readings('connected-volts', [0.012, 2.2, 4.97, 1.6]),
    ...readings('moves', [0, 0, 0, 1]),
  ];
  expect(named(all, 4)).toEqual([
    'certain return',
    expect.stringMatching(/temperature$/u),
    expect.stringMatching(/reference$/u),
    'certain signal',
  ]);
});

test('the finder asks no test that is not allowed, and none twice', () => {
  const first = findWires(3, [], ['connected-volts']).next;
  expect(first?.test).toBe('connected-volts');
  const all = readings('connected-volts', [4.97, 0.012, 1.4]);
  const { next } = findWires(3, all, ['connected-volts']);
  expect(next).toBeUndefined();
});

test.each(TERMINAL_COUNTS)('a plug with %d terminals is known to belong to something', (terminals) => {
  const { terminals: found, contradictory } = findWires(terminals, []);
  expect(found).toHaveLength(terminals);
  expect(contradictory).toBe(false);
});

test.each([
  ['4.98', 'open-volts', 4.98],
  ['12 mV', 'open-volts', 0.012],
  ['-0,01', 'connected-volts', -0.01],
  ['470k', 'open-ohms', 470_000],
  ['1,2 kΩ', 'open-ohms', 1200],
  ['2M', 'open-ohms', 2e6],
  ['0.4', 'open-ohms', 0.4],
  ['OL', 'open-ohms', Infinity],
] as const)('“%s” as %s is %d', (text, test_, value) => {
  const read = readPlugValue(text, test_);
  expect(read.ok && read.value).toBeCloseTo(value, 9);
});

test.each([
  ['OL', 'open-volts'],
  ['', 'open-volts'],
  ['5 V', 'open-ohms'],
  ['high', 'open-ohms'],
] as const)('“%s” as %s is refused', (text, test_) => {
  const read = readPlugValue(text, test_);
  expect(read.ok).toBe(false);
});

test('two unknown signals with the plug off: fed with a known voltage, each says which value it belongs to', () => {
  const seen: PlugReading[] = [
    { terminal: 0, test: 'open-volts', value: 5 },
    { terminal: 1, test: 'open-volts', value: 0 },
    { terminal: 1, test: 'open-ohms', value: 0.4 },
    { terminal: 2, test: 'open-volts', value: 4.9 },
    { terminal: 3, test: 'open-volts', value: 4.9 },
  ];
  const fed = (value: number): PlugReading => ({ terminal: 2, test: 'fed', value });
  expect(findWires(4, [...seen, fed(1)]).terminals[2]).toMatchObject({ role: 'signal' });
  expect(findWires(4, [...seen, fed(2)]).terminals[2]).toMatchObject({ role: 'temperature' });
});

test('a name is never certain by ohms alone, and the voltage is asked for', () => {
  const found = findWires(3, [
    { terminal: 0, test: 'open-volts', value: 5 },
    { terminal: 0, test: 'connected-volts', value: 4.98 },
    { terminal: 0, test: 'open-ohms', value: 1200 },
    { terminal: 0, test: 'moves', value: 0 },
    { terminal: 1, test: 'open-ohms', value: 0.3 },
    { terminal: 2, test: 'open-volts', value: 0.02 },
    { terminal: 2, test: 'moves', value: 1 },
    { terminal: 2, test: 'open-ohms', value: 470_000 },
  ]);
  expect(found.terminals[1]).toMatchObject({ role: 'return', confidence: 'likely' });
  expect(found.next).toMatchObject({ terminal: 1 });
  expect(found.next?.test).not.toBe('open-ohms');
});

test('a name is no verdict: 14 Ω in a return is told beside its name, and 1 Ω is not', () => {
  const withReturn = (ohms: number) =>
    findWires(3, [
      ...readings('open-volts', [4.99, 0.006, 4.98]),
      ...readings('open-ohms', [1200, ohms, 470_000]),
      ...readings('connected-volts', [4.97, 0.012, 1.4]),
      ...readings('moves', [0, 0, 1]),
    ]).terminals[1]!;
  expect(withReturn(1).unlike).toBeUndefined();
  const bad = withReturn(14);
  expect(bad.role).toBe('return');
  expect(bad.unlike).toMatchObject({ test: 'open-ohms', value: 14 });
  expect(bad.unlike!.highest).toBeLessThan(14);
});

test('1 mV at a signal with the plug off is sound where the unit pulls down, not where it pulls up', () => {
  const all = [
    ...readings('open-volts', [4.99, 0.006, 0.001]),
    ...readings('open-ohms', [1200, 0.4, 470_000]),
    ...readings('connected-volts', [4.97, 0.012, 1.4]),
    ...readings('moves', [0, 0, 1]),
  ];
  const signal = (bias: 'pull-up' | 'pull-down' | 'unknown') =>
    findWires(3, all, undefined, bias).terminals[2]!.unlike;
  expect(signal('pull-down')).toBeUndefined();
  expect(signal('unknown')).toBeUndefined();
  expect(signal('pull-up')).toMatchObject({ test: 'open-volts', value: 0.001 });
  expect(signal('pull-up')!.lowest).toBeGreaterThan(3);
});
