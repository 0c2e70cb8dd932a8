import { expect, test } from 'vitest';
import { FAMILY_IDS, familyOf } from '../../machine/family/index.ts';
import {
  CODE_CIRCUITS,
  CODE_SORTS,
  isMakersCode,
  knownCode,
  KNOWN_CODES,
  readCode,
  readTogether,
} from './index.ts';
import { coded } from '../../measure/message/coded.ts';

test('at least ninety codes, each once, each generic and of five signs, every circuit and sort among them', () => {
  expect(KNOWN_CODES.length).toBeGreaterThanOrEqual(90);
  expect(new Set(KNOWN_CODES.map(({ code }) => code)).size).toBe(KNOWN_CODES.length);
  for (const { code } of KNOWN_CODES) {
    expect(code).toMatch(/^P[02][0-9A-F]{3}$/u);
    expect(isMakersCode(code)).toBe(false);
  }
  expect(new Set(KNOWN_CODES.flatMap(({ circuits }) => circuits))).toEqual(new Set(CODE_CIRCUITS));
  expect(new Set(KNOWN_CODES.map(({ sort }) => sort))).toEqual(new Set(CODE_SORTS));
});

// SAE J2012, from memory: in each row of a circuit low comes before high, and both after range and performance.
test.each([
  ['P0102', 'air-flow-a', 'low'],
  ['P0108', 'manifold-pressure', 'high'],
  ['P0106', 'manifold-pressure', 'range'],
  ['P010C', 'air-flow-b', 'low'],
  ['P0123', 'throttle-a', 'high'],
  ['P0193', 'rail-pressure', 'high'],
  ['P0237', 'boost-a', 'low'],
  ['P0406', 'exhaust-flow-a', 'high'],
  ['P0532', 'refrigerant', 'low'],
  ['P0652', 'supply-b', 'low'],
  ['P2127', 'pedal-e', 'low'],
  ['P2228', 'barometric', 'low'],
  ['P2455', 'filter-differential', 'high'],
] as const)('%s is of %s, %s', (code, circuit, sort) => {
  expect(knownCode(code)).toEqual({ code, circuits: [circuit], sort });
});

test('what a family says of its codes, the table says too', () => {
  for (const id of FAMILY_IDS) {
    const { signal, 'second-signal': second, apart } = familyOf(id).codes;
    for (const [low, high] of [signal, second].filter((pair) => pair !== undefined)) {
      expect(knownCode(low), `${id} ${low}`).toMatchObject({ sort: 'low' });
      expect(knownCode(high), `${id} ${high}`).toMatchObject({ sort: 'high' });
    }
    if (apart) expect(knownCode(apart), `${id} ${apart}`).toMatchObject({ sort: 'correlation' });
  }
});

test('a maker’s code and one of another circuit are kept, and nothing is concluded', () => {
  expect(readCode('P1234')).toEqual({ code: 'P1234', saw: { code: 'codes.makers-own' } });
  expect(isMakersCode('B2101')).toBe(true);
  expect(readCode('P0420')).toEqual({ code: 'P0420', saw: { code: 'codes.unknown' } });
});

test.each([
  [['P0641', 'P0107', 'P0122'], 'codes.supply-first{supplies: [“P0641”], others: [“P0107”, “P0122”]}'],
  [['P2138', 'P2122'], 'codes.correlation-follows{code: “P2138”, tracks: [“P2122”]}'],
  [['P0102', 'P0113'], 'codes.share-a-plug{codes: [“P0102”, “P0113”]}'],
  [
    ['P0107', 'P0108'],
    'codes.both-ways{codes: [“P0107”, “P0108”], circuit: codes.circuit-manifold-pressure}',
  ],
])('%j are read together', (codes, sentence) => {
  expect(coded(readTogether(codes))).toEqual([sentence]);
});

test('codes that have nothing to do with each other say nothing together', () => {
  expect(readTogether(['P0107'])).toEqual([]);
  expect(readTogether(['P0107', 'P0107', 'P0420', 'P1234'])).toEqual([]);
  expect(readTogether(['P0190', 'P2455'])).toEqual([]);
});
