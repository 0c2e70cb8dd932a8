import { COMMON_METER } from '@lettura/core/measure/uncertainty';
import { expect, test } from 'vitest';
import { exampleCase } from '../../../core/judge/checks/exampleCase.ts';
import { SHARED } from '../../../contract/testRecord.ts';
import { recordLines, type RecordedSheet } from './recordLines.ts';

const { uuid, wire, withdrawal } = SHARED;
const UNITS = { absolute: 'kPa', vacuum: 'inHg' } as const;
const pumped = {
  engine: 'koeo',
  plug: 'connected',
  stimulus: { kind: 'pump', kpaAboveAmbient: -40 },
} as const;

const sheet = (over: Partial<RecordedSheet> = {}): RecordedSheet => {
  const readings = [wire(1, { volts: 4 }), wire(2, { volts: 4.6 }), wire(3, { state: pumped, volts: 2.44 })];
  return {
    readings,
    countingIds: new Set(readings.map(({ id }) => id)),
    unsentIds: new Set(),
    instruments: [],
    caseFile: exampleCase([]),
    ...over,
  };
};

test('the newest stands first, each with its mark against what a sound machine shows', () => {
  const lines = recordLines(sheet(), UNITS);
  expect(lines.map(({ value, fit }) => [value, fit])).toEqual([
    ['2.44 V', 'as-expected'],
    ['4.60 V', 'above'],
    ['4.00 V', 'as-expected'],
  ]);
  expect(lines[0]!.conditions).toContain('11.81 inHg vacuum');
  expect(lines[1]!.where).toBe('Signal at the sensor plug');
});

test('what was replaced or taken back stays as a line without a mark, and a withdrawal is no line of its own', () => {
  const readings = [
    wire(1, { volts: 4.6 }),
    wire(2, { volts: 4, supersedes: uuid(1) }),
    withdrawal(3, uuid(2)),
  ];
  const lines = recordLines(sheet({ readings, countingIds: new Set() }), UNITS);
  expect(lines.map(({ counts, fit }) => [counts, fit])).toEqual([
    [false, undefined],
    [false, undefined],
  ]);
});

test('what took it is named, and what waits for the server says so', () => {
  const meter = { id: uuid(50), name: COMMON_METER.name, accuracy: COMMON_METER.accuracy };
  const readings = [wire(1, { instrumentId: meter.id, enteredText: 'sig 2.31' })];
  const [line] = recordLines(
    sheet({ readings, unsentIds: new Set([uuid(1)]), instruments: [meter as never] }),
    UNITS,
  );
  expect(line!.takers).toEqual([COMMON_METER.name]);
  expect(line!.entered).toMatch(/^sig 2\.31.+wait/u);
});
