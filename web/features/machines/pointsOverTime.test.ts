import type { JobSheet, Reading } from '@lettura/contract';
import { expect, test } from 'vitest';
import { SHARED } from '../../../contract/testRecord.ts';
import { pointsOverTime } from './pointsOverTime.ts';

const UNITS = { absolute: 'kPa', vacuum: 'inHg' } as const;
const sheet = (id: string, readings: Reading[], lineageId = 'tern'): JobSheet =>
  ({ job: { id }, sensor: { name: 'Tern 2-bar', lineageId }, readings }) as unknown as JobSheet;
const { wire, withdrawal, uuid } = SHARED;

test('a point is the same from job to job, in whatever version of its sensor, and its readings follow in time', () => {
  const points = pointsOverTime(
    [
      sheet('second', [wire(5, { volts: 2.31 })]),
      sheet('first', [wire(1, { volts: 2.95 }), wire(2, { volts: 2.9 })]),
    ],
    UNITS,
  );
  expect(points).toHaveLength(1);
  expect(points[0]!.unit).toBe('V');
  expect(points[0]!.readings.map(({ value, jobId }) => [value, jobId])).toEqual([
    [2.95, 'first'],
    [2.9, 'first'],
    [2.31, 'second'],
  ]);
});

test('another place, state or sensor is another point, and what was read once is none over time', () => {
  const readings = [
    wire(1),
    wire(2),
    wire(3, { place: 'unit' }),
    wire(4, { state: { engine: 'idle', plug: 'connected' } }),
  ];
  expect(pointsOverTime([sheet('a', readings)], UNITS).map(({ readings }) => readings.length)).toEqual([2]);
  expect(pointsOverTime([sheet('a', [wire(1)]), sheet('b', [wire(2)], 'other')], UNITS)).toEqual([]);
});

test('what was corrected or taken back is left out, and OL is a reading without a number', () => {
  const corrected = [wire(1, { volts: 9 }), wire(2, { volts: 2.3, supersedes: uuid(1) }), wire(3), wire(4)];
  const [point] = pointsOverTime([sheet('a', [...corrected, withdrawal(5, uuid(4))])], UNITS);
  expect(point!.readings.map(({ id }) => id)).toEqual([uuid(2), uuid(3)]);
  const ohms = (n: number, read: number | null): Reading => ({
    id: uuid(n),
    jobId: SHARED.jobId,
    takenAt: `2026-11-24T08:00:0${n}.000Z`,
    enteredText: '',
    kind: 'ohms',
    state: { engine: 'key-off', plug: 'unplugged' },
    from: { lane: 'signal', place: 'plug' },
    to: { lane: 'return', place: 'plug' },
    ohms: read,
  });
  const [apart] = pointsOverTime([sheet('a', [ohms(1, 1200), ohms(2, null)])], UNITS);
  expect(apart!.readings.map(({ value, words }) => [value, words])).toEqual([
    [1200, expect.stringContaining('1.2')],
    [undefined, 'OL'],
  ]);
});
