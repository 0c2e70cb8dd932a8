import { newInstrument, type Instrument } from '@lettura/contract';
import { toKpa } from '@lettura/core/measure/quantity';
import { expect, test } from 'vitest';
import { accuracyInWords, limitsInWords } from './instrumentWords.ts';
import {
  emptyInstrument,
  readInstrumentText,
  textOfInstrument,
  type InstrumentText,
} from './instrumentText.ts';

const gauge = (over: Partial<InstrumentText> = {}): InstrumentText => ({
  ...emptyInstrument('gauge', 'inHg'),
  name: 'Gauge 3',
  lowest: '-30',
  highest: '0',
  division: '0.5',
  ...over,
});

test('a vacuum gauge in inHg: class of the span, which is the range', () => {
  const { instrument, problems } = readInstrumentText(gauge());
  expect(problems).toEqual({});
  expect(instrument?.accuracy).toEqual({
    kind: 'gauge',
    classPercent: 1.6,
    spanKpa: toKpa(30, 'inHg'),
    divisionKpa: toKpa(0.5, 'inHg'),
    readTo: 'half',
  });
});

test.each([
  [gauge({ name: ' ' }), 'name'],
  [gauge({ division: '' }), 'division'],
  [gauge({ highest: '-40' }), 'highest'],
  [gauge({ classPercent: 'good' }), 'classPercent'],
  [gauge({ calibratedOn: '2026-02-30' }), 'calibratedOn'],
  [gauge({ calibratedOn: '2026-02-01', calibrationDue: '2025-02-01' }), 'calibrationDue'],
  [{ ...emptyInstrument('meter', 'kPa'), name: 'M', counts: '1.5' }, 'counts'],
  [{ ...emptyInstrument('live-data', 'kPa'), name: 'L', step: '0' }, 'step'],
] as const)('what is wrong is told at its field (%#)', (text, field) => {
  const { instrument, problems } = readInstrumentText(text);
  expect(instrument).toBeUndefined();
  expect((problems[field] ?? '').length).toBeGreaterThan(10);
});

test.each(['meter', 'gauge', 'hand-pump', 'live-data'] as const)(
  'a %s opened in its form is the same',
  (sort) => {
    const text = {
      ...gauge(),
      ...emptyInstrument(sort, 'inHg'),
      name: 'X',
      lowest: '-30',
      highest: '60',
      division: '1',
    };
    const { instrument } = readInstrumentText(text);
    const full: Instrument = {
      ...newInstrument.parse({ id: '01935a00-0000-7000-8000-000000000001', ...instrument }),
      lineageId: '01935a00-0000-7000-8000-000000000001',
      version: 1,
    };
    const again = readInstrumentText(textOfInstrument(full, 'inHg')).instrument;
    expect(again?.accuracy.kind).toBe(full.accuracy.kind);
    expect(again?.highest).toBeCloseTo(full.highest, 4);
    expect(accuracyInWords(full, 'inHg').length).toBeGreaterThan(5);
  },
);

test('the statement in words, and what it comes to at a usual reading', () => {
  const { instrument } = readInstrumentText({ ...emptyInstrument('meter', 'kPa'), name: 'Meter' });
  const meter = {
    ...newInstrument.parse({ id: '01935a00-0000-7000-8000-000000000001', ...instrument }),
    lineageId: '',
    version: 1,
  };
  expect(accuracyInWords(meter, 'kPa')).toBe('±(0.5 % of reading + 2 counts), 6000 counts');
  expect(limitsInWords(meter, 'kPa')).toBe('±15 mV at 2.500 V'); // 0.5 % of 2.5 V and 2 mV
});
