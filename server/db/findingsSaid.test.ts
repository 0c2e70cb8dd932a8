import { inWords, wordsFor } from '@lettura/words';
import { v7 } from 'uuid';
import { expect, test } from 'vitest';
import { oldDatabase } from './oldDatabase.ts';
import { recordingTable } from './schema.ts';

const finding = (kind: string, sentence: string, position?: number) => ({
  kind,
  weight: 'fault',
  sentence,
  channel: 0,
  fromSeconds: 1,
  untilSeconds: 2,
  ...(position === undefined ? {} : { position }),
});

/** As the version before wrote them. */
const KNOWN = [
  finding('still', 'Nothing was moved in this recording: it proves no travel.'),
  finding(
    'dropout',
    'Track 2 drops out at 41.5 %: 34 ms at 0.02 V instead of 2.51 V, 3.12 s into the recording.',
    41.5,
  ),
  finding('dropout', 'The signal drops out: 1.2 s at -0.01 V instead of 4.00 V, 120.4 s into the recording.'),
  finding(
    'pair',
    'The tracks do not belong together at 62.0 °: 8.3 % of the reference apart, 4.50 s into the recording.',
    62,
  ),
  finding('gap', 'Nothing was recorded for 3.2 s, 3.99 s into the recording.'),
  finding('reference', 'The reference does not hold: 4.60 V, 0.25 s into the recording.'),
  finding('lag', 'Live data follows the wire 0.8 s late.'),
];
const UNKNOWN = finding('travel', 'Moved 2 times, from 0.0 % to 100.0 %, at 100 samples a second.');

test('a recording of an earlier version says the same as before, as codes where they are known', async () => {
  const { db, pool, jobId, insert, bringUpToDate } = await oldDatabase('0011_payload');
  await insert('recording', {
    id: v7(),
    job_id: jobId,
    name: 'Slow travel',
    taken_at: new Date(),
    source: 'import',
    channels: '[]',
    samples: 2,
    duration_seconds: 1,
    findings: JSON.stringify([...KNOWN, UNKNOWN]),
    deflated: Buffer.from(''),
  });
  await bringUpToDate();
  const [row] = await db.select().from(recordingTable);
  const findings = row!.findings;
  expect(inWords(findings)).toEqual([...KNOWN, UNKNOWN]);
  expect(findings.map(({ sentence }) => sentence.code)).toEqual([
    'sweep.nothing-moved-recording-proves-no',
    'sweep.drops-out-instead-into-recording',
    'sweep.drops-out-instead-into-recording',
    'sweep.tracks-do-not-belong-together',
    'sweep.nothing-recorded-into-recording',
    'sweep.reference-does-not-hold-into',
    'sweep.live-data-follows-wire-late',
    'say.at-the-time',
  ]);
  await expect(pool.query("update recording set name = 'other'")).rejects.toThrow('append-only');
  await pool.end();
});

test('a place that was written in somebody’s unit is shown in the reader’s, from the number that was kept', async () => {
  const { db, pool, jobId, insert, bringUpToDate } = await oldDatabase('0011_payload');
  const written = finding(
    'dropout',
    'The signal drops out at 8.86 inHg abs: 34 ms at 0.02 V instead of 2.51 V, 3.12 s into the recording.',
    30,
  );
  await insert('recording', {
    id: v7(),
    job_id: jobId,
    name: 'Pump',
    taken_at: new Date(),
    source: 'live',
    channels: '[]',
    samples: 2,
    duration_seconds: 1,
    findings: JSON.stringify([written]),
    deflated: Buffer.from(''),
  });
  await bringUpToDate();
  const [row] = await db.select().from(recordingTable);
  const [{ sentence }] = row!.findings as [(typeof row & object)['findings'][number]];
  // 30 kPa are 8.86 inHg (30 / 3.386389).
  expect(wordsFor({ language: 'en', pressureUnit: 'inHg' }).say(sentence)).toBe(written.sentence);
  expect(wordsFor({ language: 'en', pressureUnit: 'kPa' }).say(sentence)).toContain('at 30.0 kPa abs');
  await pool.end();
});
