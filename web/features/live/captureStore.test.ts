import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { captureStore, type CaptureInfo } from './captureStore.ts';

const info = (id: string, jobId = 'job'): CaptureInfo => ({
  id,
  jobId,
  name: 'Slow full travel',
  startedMs: 5,
  source: 'Logger',
  channels: [{ name: 'Track 1', unit: 'V' }],
  uses: ['signal'],
  marks: [{ atSeconds: 0.01, words: 'At rest' }],
  note: 'plug cleaned',
  missed: 0,
  ended: false,
});

test('pieces put away one by one are one recording, in their order, with what was noted', async () => {
  await captureStore.saveInfo(info('a'));
  await captureStore.addPiece('a', 2, Float64Array.of(1020, 1.2, 1030, NaN));
  await captureStore.addPiece('a', 1, Float64Array.of(1000, 1, 1010, 1.1));
  // Ten pieces and more: by number, not by letters.
  await captureStore.addPiece('a', 10, Float64Array.of(1040, 1.4));
  const [found] = await captureStore.ofJob('job');
  expect(found).toEqual(info('a'));
  const { seconds, channels } = await captureStore.read(found!);
  expect([...seconds]).toEqual([0, 0.01, 0.02, 0.03, 0.04]);
  expect([...channels[0]!.values]).toEqual([1, 1.1, 1.2, NaN, 1.4]);
});

test('a capture is of its own job, is changed as it goes on, and is gone with its pieces once it is kept', async () => {
  await captureStore.saveInfo(info('b', 'other'));
  await captureStore.addPiece('b', 1, Float64Array.of(0, 1));
  await captureStore.saveInfo({ ...info('b', 'other'), ended: true });
  expect((await captureStore.ofJob('other')).map(({ id, ended }) => [id, ended])).toEqual([['b', true]]);
  await captureStore.remove('b');
  expect(await captureStore.ofJob('other')).toEqual([]);
  expect((await captureStore.read(info('b'))).seconds).toHaveLength(0);
  // The other one is untouched.
  expect((await captureStore.read(info('a'))).seconds).toHaveLength(5);
});
