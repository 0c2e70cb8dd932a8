import { expect, test } from 'vitest';
import { provenGood, type JobSheet, type Reading } from './index.ts';
import { SHARED } from './testRecord.ts';

const { ambient, jobId, profile, uuid, wire } = SHARED;
const at = (n: number): string => `2026-11-24T08:00:${String(n).padStart(2, '0')}.000Z`;
const AMBIENT = ambient(1, { source: 'barometer', stationKpaAbs: 101.3 });
/** At rest and without vacuum a sound sensor of this curve shows this: 5 × (0.004 × 101.3 − 0.04), by its data sheet. */
const SOUND_VOLTS = 1.83;
const replaced = (n: number): Reading => ({
  id: uuid(n),
  jobId,
  takenAt: at(n),
  enteredText: '',
  kind: 'work',
  work: 'sensor-replaced',
});
const sheet = (
  readings: Reading[],
  verdicts: [cause: string, n: number][] = [],
  job: object = {},
): JobSheet =>
  ({
    job: { id: jobId, codes: [], ...job },
    vehicle: {},
    sensor: { family: 'manifold-pressure', profile },
    readings,
    verdicts: verdicts.map(([cause, n]) => ({ id: uuid(n), jobId, decidedAt: at(n), cause, note: '' })),
    instruments: [],
    recordings: [],
  }) as unknown as JobSheet;
const supply = [wire(2, { lane: 'reference', volts: 5 }), wire(3, { lane: 'return', volts: 0.01 })];

test('what was read on a machine on which nothing was wrong is known good; without a verdict it is not', () => {
  const readings = [AMBIENT, ...supply, wire(4, { volts: SOUND_VOLTS })];
  expect(provenGood(sheet(readings))).toBeUndefined();
  expect(provenGood(sheet(readings, [['sensor', 10]]))).toBeUndefined();
  const good = provenGood(sheet(readings, [['nothing', 10]]))!;
  expect(good.provenBy).toBe('nothing-wrong');
  expect(good.readings.map(({ id }) => id)).toEqual([uuid(2), uuid(3), uuid(4)]);
  // Somebody knows better.
  expect(provenGood(sheet(readings, [['nothing', 10]], { notAsKnownGood: true }))).toBeUndefined();
  const later = provenGood(sheet([...readings, wire(12, { volts: 4.6 })], [['nothing', 10]]))!;
  expect(later.readings.map(({ id }) => id)).toEqual(good.readings.map(({ id }) => id));
  const back: Reading = {
    id: uuid(14),
    jobId,
    takenAt: at(14),
    enteredText: '',
    kind: 'follow-up',
    followUp: { what: 'road-test', complaint: 'still-there' },
  };
  expect(provenGood(sheet([...readings, back], [['nothing', 10]]))).toBeUndefined();
  // The last word counts, and a simulated machine has none.
  expect(
    provenGood(
      sheet(readings, [
        ['nothing', 10],
        ['sensor', 11],
      ]),
    ),
  ).toBeUndefined();
  expect(
    provenGood(sheet(readings, [['nothing', 10]], { bench: { caseLetter: 'B', seed: 1 } })),
  ).toBeUndefined();
});

test('of a repaired machine only what was read since the repair is known good, and only once that is proven', () => {
  const before = [AMBIENT, ...supply, wire(4, { volts: 4.6 })];
  const repeated = (volts: number) => [
    ...before,
    replaced(20),
    wire(21, { lane: 'reference', volts: 5 }),
    wire(22, { lane: 'return', volts: 0.01 }),
    wire(23, { volts }),
  ];
  const good = provenGood(sheet(repeated(SOUND_VOLTS), [['sensor', 10]]))!;
  expect(good.provenBy).toBe('repair');
  expect(good.readings.map(({ id }) => id)).toEqual([uuid(21), uuid(22), uuid(23)]);
  expect(provenGood(sheet(repeated(4.5), [['sensor', 10]]))).toBeUndefined();
  expect(provenGood(sheet([...before, replaced(20)], [['sensor', 10]]))).toBeUndefined();
  // What was decided since weighs more than the comparison.
  expect(provenGood(sheet(repeated(SOUND_VOLTS), [['wire', 30]]))).toBeUndefined();
});
