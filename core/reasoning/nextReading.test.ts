import { expect, test } from 'vitest';
import {
  targetWords,
  type Evidence,
  type MachineState,
  type Target,
  type ThreeWire,
} from '../evidence/index.ts';
import { exampleCase as caseOf } from './exampleCase.ts';
import { CAUSE_IDS, causeOf, CHECK_IDS, checkOf, weigh, type CauseId } from './index.ts';
import { gateFor } from './gate.ts';
import { afterAnswer, expectedInformation, ranked, type Weights } from './nextReading.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const wire = (
  lane: 'reference' | 'signal' | 'return',
  place: 'unit' | 'connector' | 'plug',
  volts: number,
): Evidence => ({
  kind: 'wire',
  id: `${lane} ${place} ${volts}`,
  lane,
  place,
  volts,
  state: koeo,
});
const even: Weights = new Map(CAUSE_IDS.map((cause) => [cause, 1 / CAUSE_IDS.length]));
const certain = (cause: CauseId): Weights => new Map(CAUSE_IDS.map((id) => [id, id === cause ? 1 : 0]));

test('an answer that nothing hangs on carries no information, and none can carry more than the doubt', () => {
  const doubtBits = Math.log2(CAUSE_IDS.length);
  for (const check of CHECK_IDS) {
    expect(expectedInformation(check, certain('nothing'))).toBeCloseTo(0, 12);
    expect(expectedInformation(check, even)).toBeGreaterThan(0);
    expect(expectedInformation(check, even)).toBeLessThan(doubtBits);
  }
});

test('Bayes by hand: two even causes and a missing reference', () => {
  const two: Weights = new Map([
    ['reference-open', 0.5],
    ['nothing', 0.5],
  ]);
  // 0.85 / (0.85 + 0.01) from the table rows of reference-at-plug.
  expect(afterAnswer(two, 'reference-at-plug', ['missing']).get('reference-open')).toBeCloseTo(
    0.85 / 0.86,
    9,
  );
});

test('the order in which answers come changes nothing', () => {
  const one = afterAnswer(afterAnswer(even, 'signal-koeo', ['low']), 'reference-at-plug', ['missing']);
  const other = afterAnswer(afterAnswer(even, 'reference-at-plug', ['missing']), 'signal-koeo', ['low']);
  for (const cause of CAUSE_IDS) expect(one.get(cause)).toBeCloseTo(other.get(cause) ?? NaN, 12);
});

test('the answers promised for the next reading are what the weighing then says', () => {
  const before = weigh(caseOf([wire('signal', 'plug', 0.02)]));
  expect(before.next?.question).toBeDefined();
  const missing = before.next?.answers.find(({ outcome }) => outcome === 'next to nothing');
  expect(targetWords(before.next?.target as Target)).toBe('reference at the sensor plug');
  const after = weigh(caseOf([wire('signal', 'plug', 0.02), wire('reference', 'plug', 0.02)]));
  expect(after.causes[0]?.title).toBe(missing?.then);
});

test('a reading that has been taken is not asked for again', () => {
  const readings = [wire('signal', 'plug', 3.2)];
  for (let i = 0; i < 12; i++) {
    const { next } = weigh(caseOf(readings));
    if (!next || next.target.kind !== 'wire') return;
    const { lane, place } = next.target;
    const again = readings.some(
      (one) =>
        one.kind === 'wire' &&
        one.lane === lane &&
        one.place === place &&
        one.state.engine === next.state.engine &&
        one.state.plug === next.state.plug,
    );
    expect(again).toBe(false);
    readings.push({
      ...wire(lane as ThreeWire, place, lane === 'reference' ? 5 : lane === 'return' ? 0.01 : 3.2),
      state: next.state,
    });
  }
});

test('once a cause leads, the next readings serve its proof', () => {
  const shifted = [wire('signal', 'plug', 3.2), wire('reference', 'plug', 5)];
  const { causes, next, gate } = weigh(caseOf(shifted));
  expect(causes[0]?.cause).toBe('sensor-shifted');
  expect(gate?.items.map(({ state }) => state)).toEqual(['proven', 'missing', 'missing']);
  expect(targetWords(next?.target as Target)).toBe('return at the sensor plug');
});

test('a proven open signal wire is halved at the connector, and no further', () => {
  const open = [wire('signal', 'plug', 4), wire('signal', 'unit', 0), wire('reference', 'plug', 5)];
  const located = weigh(caseOf(open));
  expect(located.verdict).toMatchObject({ decided: true, cause: 'signal-open' });
  expect(targetWords(located.next?.target as Target)).toBe('signal at the inline connector');
  expect(located.next?.answers[0]?.then).toContain('between control unit and connector');
  expect(weigh(caseOf([...open, wire('signal', 'connector', 4)])).next).toBeUndefined();
});

test('every cause can be proven: its gate is met by answers that exist', () => {
  for (const cause of CAUSE_IDS) {
    const open = gateFor(cause, [], cause === 'path' ? 'throttle' : 'manifold-pressure');
    expect(open.met).toBe(false);
    expect(open.items.length).toBeGreaterThan(1);
    for (const { check } of open.items) expect(check && checkOf(check)).toBeDefined();
    expect(causeOf(cause).remedy).toMatch(/\.$/u);
  }
});

test('a refuted requirement is told apart from a missing one', () => {
  const { items } = gateFor(
    'sensor-shifted',
    [
      { check: 'return-at-plug', outcomes: ['raised'], sentence: '', readingIds: ['a'] },
      { check: 'signal-koeo', outcomes: ['shifted', 'shifted-by-return'], sentence: '', readingIds: ['b'] },
    ],
    'manifold-pressure',
  );
  expect(items.map(({ state }) => state)).toEqual(['missing', 'refuted', 'missing']);
});

test('ranking is by share, largest first', () => {
  expect(
    ranked(
      new Map([
        ['hose', 0.2],
        ['nothing', 0.8],
      ]) as Weights,
    ).map(({ cause }) => cause),
  ).toEqual(['nothing', 'hose']);
});
