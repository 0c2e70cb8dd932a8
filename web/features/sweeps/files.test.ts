import { beforeEach, expect, test } from 'vitest';
import { fakeStorage } from '../../testStorage.ts';
import { openFile } from './openFile.ts';
import { packed, unpacked } from './packRecording.ts';
import { channelsOf, rememberUses, usesOf } from './usesOf.ts';
import { inWords } from '@lettura/words';

beforeEach(() => {
  globalThis.localStorage = fakeStorage();
});

const PAIR = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false } as const;
const volts = (...names: string[]) => names.map((name) => ({ name, unit: 'V' }));

test('what is packed is unpacked the same, gaps included', async () => {
  const recording = {
    seconds: Float64Array.of(0, 0.005, 0.01),
    channels: [
      { name: 'A', unit: 'V', values: Float64Array.of(1, NaN, 3) },
      { name: 'B', unit: '', values: Float64Array.of(-0.5, 1e-9, 4e5) },
    ],
  };
  const back = await unpacked((await packed(recording)).join(''), 3, recording.channels);
  expect(back).toEqual(recording);
});

test('dialect and layout are settled from the beginning of a file', async () => {
  const opened = await openFile(new Blob(['Zeit;Spur 1\nms;V\n0;1,5\n4;1,6\n']));
  expect(opened).toMatchObject({
    ok: true,
    value: {
      kind: 'table',
      firstRows: [['0', '1,5'], ['4', '1,6'], ['']],
      layout: {
        delimiter: ';',
        decimal: ',',
        timeColumn: 0,
        timeForm: 'ms',
        columns: [{ name: 'Zeit' }, { unit: 'V' }],
      },
    },
  });
  expect(await openFile(new Blob(['(1.5) can0 7E8#03410B2F\n']))).toMatchObject({
    value: { kind: 'candump' },
  });
});

test('a file that is no text, or too large to read, is refused before it is read', async () => {
  expect(await openFile(new Blob([Uint8Array.of(1, 0, 2, 0)]))).toMatchObject({
    ok: false,
    problem: { code: 'binary' },
  });
  const huge = { size: 2 * 1024 ** 3, slice: () => new Blob([]) } as unknown as Blob;
  expect(inWords(await openFile(huge))).toMatchObject({
    ok: false,
    problem: { code: 'too-large', message: 'The file has 2.0 GB; up to 512 MB can be read.' },
  });
});

test('uses are guessed by name and unit, and remembered once they were confirmed', () => {
  const channels = [...volts('APP1', 'APP2', 'Vref'), { name: 'Pedal', unit: '%' }];
  expect(usesOf(channels, PAIR)).toEqual(['signal', 'second-signal', 'reference', 'live']);
  expect(usesOf(volts('CH1', 'CH2'), undefined)).toEqual(['signal', 'other']);
  rememberUses(channels, ['second-signal', 'signal', 'other', 'live']);
  expect(usesOf(channels, PAIR)).toEqual(['second-signal', 'signal', 'other', 'live']);
  expect(usesOf(volts('APP1', 'APP2'), PAIR)).toEqual(['signal', 'second-signal']);
});

test('the column of time is no channel', () => {
  const columns = [
    { name: 'A', unit: 'V' },
    { name: 't', unit: 's' },
    { name: 'B', unit: 'V' },
  ];
  expect(
    channelsOf({ delimiter: ',', decimal: '.', headerRows: 1, columns, timeColumn: 1, timeForm: 's' }).map(
      ({ name }) => name,
    ),
  ).toEqual(['A', 'B']);
});
