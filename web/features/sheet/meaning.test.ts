import { MPX4250A } from '@lettura/core/measure/transfer';
import { expect, test } from 'vitest';
import { exampleCase } from '../../../core/judge/checks/exampleCase.ts';
import { meaningOf } from './meaning.ts';

const caseFile = exampleCase([], { profile: MPX4250A });
const units = { absolute: 'kPa', vacuum: 'inHg' } as const;
const koeo = { engine: 'koeo', plug: 'connected' } as const;
const signal = (volts: number) =>
  ({ kind: 'wire', lane: 'signal', place: 'plug', volts, state: koeo }) as const;

test('1.80 V is 100 kPa and no vacuum, and says what was taken for granted', () => {
  const { fit, conversion } = meaningOf(signal(1.8), caseFile, units);
  expect(fit).toBe('as-expected');
  expect(conversion).toContain('100.0 kPa absolute = 0.00 inHg of vacuum');
  expect(conversion).toContain('reference and return not measured yet');
});

test('a signal at a rail is no pressure', () => {
  expect(meaningOf(signal(0.02), caseFile, units)).toMatchObject({ fit: 'below' });
  expect(meaningOf(signal(0.02), caseFile, units).conversion).toContain('no pressure gives that');
});

test('what a meter counts is a value with its doubt, and stands against what is expected', () => {
  const points = [
    { hertz: 80, value: 20 },
    { hertz: 138, value: 105 },
  ];
  const sends = exampleCase([], { profile: { ...MPX4250A, transfer: { form: 'frequency', points } } });
  const counted = (hertz: number) =>
    ({ kind: 'frequency', lane: 'signal', place: 'plug', hertz, state: koeo }) as const;
  // 20 + 55.5 · 85 / 58 = 101.3 kPa.
  expect(meaningOf(counted(135.5), sends, units)).toMatchObject({ fit: 'as-expected' });
  expect(meaningOf(counted(135.5), sends, units).conversion).toMatch(/^101\.3 kPa absolute.*k = 2\)$/u);
  expect(meaningOf(counted(107), sends, units)).toMatchObject({ fit: 'below' });
  expect(meaningOf(counted(0), sends, units)).toMatchObject({ fit: 'below', conversion: undefined });
  expect(meaningOf(counted(135.5), caseFile, units)).toMatchObject({ fit: undefined, conversion: undefined });
});

test('a gauge in vacuum is judged in absolute pressure', () => {
  const idle = { ...koeo, engine: 'idle' } as const;
  const gauge = { kind: 'gauge', tap: 'manifold', pressureKpa: 64, basis: 'vacuum', state: idle } as const;
  expect(meaningOf(gauge, caseFile, units)).toMatchObject({ fit: 'as-expected' });
  expect(meaningOf({ ...gauge, pressureKpa: 40 }, caseFile, units)).toMatchObject({ fit: 'above' });
});

test('without an ambient pressure nothing is claimed about vacuum', () => {
  const { expectation, conversion } = meaningOf(signal(1.8), { ...caseFile, ambient: undefined }, units);
  expect(expectation).toBeUndefined();
  expect(conversion).not.toContain('vacuum');
});
