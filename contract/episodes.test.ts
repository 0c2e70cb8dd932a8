import { judge, weigherFor } from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { caseFileOf, episodesOf, newReading, type Reading, type WorkDone } from './index.ts';
import { SHARED } from './testRecord.ts';

const { ambient, jobId, profile, uuid, wire, withdrawal } = SHARED;
const work = (
  n: number,
  done: WorkDone['work'] = 'sensor-replaced',
  over: Partial<WorkDone> = {},
): WorkDone => ({
  id: uuid(n),
  jobId,
  takenAt: `2026-11-24T08:00:${String(n).padStart(2, '0')}.000Z`,
  enteredText: '',
  kind: 'work',
  work: done,
  ...over,
});
const record = (readings: readonly Reading[], codes: string[] = ['P0107']) => ({
  job: { codes },
  readings,
  sensor: { family: 'manifold-pressure' as const, profile },
  vehicle: {},
  instruments: [],
  recordings: [
    { name: 'before', takenAt: '2026-11-24T08:00:02.000Z', channels: [], findings: [] },
    { name: 'after', takenAt: '2026-11-24T08:00:40.000Z', channels: [], findings: [] },
  ],
});

test('the record is one episode until work is done; each work begins another', () => {
  expect(episodesOf([wire(1)])).toMatchObject([
    { works: [], fromInstant: undefined, untilInstant: undefined },
  ]);
  const [first, second, third] = episodesOf([wire(1), work(5), wire(6), wire(7), work(9, 'wire-mended')]);
  expect(first.readings.map(({ id }) => id)).toEqual([uuid(1)]);
  expect(first.untilInstant).toBe(work(5).takenAt);
  expect(second!.readings.map(({ id }) => id)).toEqual([uuid(6), uuid(7)]);
  expect(third).toMatchObject({ works: [{ work: 'wire-mended' }], readings: [], untilInstant: undefined });
});

test('works between which nothing was read are one repair; codes cleared begin nothing', () => {
  const episodes = episodesOf([wire(1), work(5), work(6, 'wire-mended'), work(7, 'codes-cleared'), wire(8)]);
  expect(episodes).toHaveLength(2);
  expect(episodes[1]!.works.map((one) => one.work)).toEqual(['sensor-replaced', 'wire-mended']);
});

test('a work that is taken back was not done', () => {
  expect(episodesOf([wire(1), work(5), wire(6), withdrawal(7, uuid(5))])).toHaveLength(1);
});

test('only what was read since counts, with the weather, the recordings and the codes of its own time', () => {
  const readings = [
    ambient(1, { source: 'barometer', stationKpaAbs: 101 }),
    wire(2, { volts: 4.6 }),
    work(20),
    wire(30),
  ];
  const now = caseFileOf(record(readings));
  expect(now.readings.map(({ id }) => id)).toEqual([uuid(30)]);
  expect(now.ambient?.pressureKpaAbs).toBe(101);
  expect(now.sweeps.map(({ name }) => name)).toEqual(['after']);
  expect(now.codes).toEqual([]);
  expect(now.starting.circumstances).toContain('sensor-replaced');
  const before = caseFileOf(record(readings), 'before-last-work');
  expect(before.readings.map(({ id }) => id)).toEqual([uuid(2)]);
  expect(before.sweeps.map(({ name }) => name)).toEqual(['before']);
  expect(before.codes).toEqual(['P0107']);
  expect(before.starting.circumstances).toEqual([]);
});

test('a slip of before that is corrected after the work was still read before it', () => {
  const corrected = wire(30, { volts: 2.4, supersedes: uuid(1) });
  const again = wire(31, { volts: 2.5, supersedes: corrected.id });
  const [before, after] = episodesOf([wire(1), work(5), wire(6), corrected, again]);
  expect(before.readings.map(({ id }) => id)).toEqual([again.id]);
  expect(after!.readings.map(({ id }) => id)).toEqual([uuid(6)]);
});

test('what was not read again since an earlier work still stands before the last one', () => {
  const readings = [wire(1), wire(2, { place: 'unit' }), work(5, 'part-cleaned'), wire(6), work(8), wire(9)];
  expect(caseFileOf(record(readings), 'before-last-work').readings.map(({ id }) => id)).toEqual([
    uuid(1),
    uuid(2),
    uuid(6),
  ]);
  expect(caseFileOf(record(readings)).readings.map(({ id }) => id)).toEqual([uuid(9)]);
});

test('the same tests after a repair never make a slip of an earlier reading', () => {
  // 5 · (0.004 · 101 − 0.04) = 1.82 V.
  const off = [wire(1, { volts: 2.6 }), wire(2, { volts: 2.6, place: 'unit' })];
  const right = [wire(30, { volts: 1.82 }), wire(31, { volts: 1.82, place: 'unit' })];
  const barometer = ambient(0, { source: 'barometer', stationKpaAbs: 101 });
  const wires = ['reference', 'signal', 'return'] as const;
  const share = (readings: readonly Reading[]) => {
    const caseFile = caseFileOf(record([barometer, ...readings]));
    return judge(weigherFor(caseFile, wires), caseFile, wires).ranked.find(
      ({ decision }) => decision.id === 'nothing',
    )!.share;
  };
  // In one bag the old readings stand against the new ones; as two machines the new one is sound.
  expect(share([...off, work(20), ...right])).toBeGreaterThan(0.5);
  expect(share([...off, work(20), ...right])).toBeGreaterThan(2 * share([...off, ...right]));
});

test('work is checked where it is written', () => {
  expect(newReading.safeParse(work(5, 'sensor-replaced', { at: 'bank 1', newPart: 'A-2' })).success).toBe(
    true,
  );
  expect(newReading.safeParse({ ...work(5), work: 'danced-around' }).success).toBe(false);
  expect(newReading.safeParse({ ...work(5), note: 'x'.repeat(1001) }).success).toBe(false);
});
