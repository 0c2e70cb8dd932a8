import fc from 'fast-check';
import { expect, test } from 'vitest';
import { coded } from '../../measure/message/coded.ts';
import { EXAMPLE_PROFILE } from '../../judge/checks/exampleCase.ts';
import { analyseSweep, type ChannelUse } from './index.ts';

const RATE = 10;
/** Live data at ten samples a second, in kPa, and revs beside it where they were recorded. */
function found(live: readonly number[], revs?: readonly number[]) {
  const uses: ChannelUse[] = revs ? ['live', 'revs'] : ['live'];
  const channels = [live, ...(revs ? [revs] : [])].map((values, i) => ({
    name: uses[i]!,
    unit: i === 0 ? 'kPa' : 'rpm',
    values: Float64Array.from(values),
  }));
  const recording = { seconds: Float64Array.from(live, (_, i) => i / RATE), channels };
  return analyseSweep(recording, { profile: EXAMPLE_PROFILE, uses, bases: ['absolute'] })
    .filter(({ kind }) => kind === 'stuck')
    .map(({ sentence, weight, fromSeconds, untilSeconds }) => ({
      code: coded(sentence).replace(/\{.*/su, ''),
      weight,
      fromSeconds,
      untilSeconds,
    }));
}
/** An engine that idles: a step or two of live data up and down from sample to sample. */
const idling = (i: number): number => 38 + Math.round(2 * Math.sin(1.7 * i) + 2 * Math.sin(0.31 * i));
const running = (i: number): number => 1200 + 600 * Math.sin(i / 20);
const SAMPLES = Array.from({ length: 600 }, (_, i) => i);

test('live data that moves is held nowhere', () => {
  expect(found(SAMPLES.map(idling))).toEqual([]);
});

test('a value put in the place of a lost one is told with its moment: it leaps there, is held, and leaps back', () => {
  const live = SAMPLES.map((i) => (i >= 200 && i < 230 ? 101 : idling(i)));
  expect(found(live)).toEqual([
    { code: 'sweep.live-data-leaps-to-and-back', weight: 'note', fromSeconds: 20, untilSeconds: 23 },
  ]);
});

test('what is held for long is frozen while revs beside it move, and in doubt without them', () => {
  const live = SAMPLES.map((i) => (i >= 200 && i < 300 ? idling(200) : idling(i)));
  const [held] = found(live);
  expect(held).toMatchObject({ code: 'sweep.live-data-stands-by-itself', weight: 'note' });
  expect(held!.fromSeconds).toBeCloseTo(20, 0);
  expect(found(live, SAMPLES.map(running))[0]).toMatchObject({
    code: 'sweep.live-data-frozen-while-revs-move',
    weight: 'fault',
  });
  // With the engine off nothing moves.
  const stopped = SAMPLES.map((i) => (i >= 200 && i < 300 ? 0 : running(i)));
  expect(found(live, stopped)[0]).toMatchObject({ weight: 'note' });
});

test('a pressure that hardly ever changes is not called frozen, nor is a step that goes on', () => {
  expect(found(SAMPLES.map((i) => (i < 300 ? 101 : 100)))).toEqual([]);
  expect(found(SAMPLES.map((i) => (i < 200 ? 40 : i < 220 ? 70 : 100)))).toEqual([]);
});

test('nothing is found in noise, whatever its steps', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 30, max: 44 }), { minLength: 40, maxLength: 400 }), (live) => {
      const isLong = found(live).some(({ fromSeconds, untilSeconds }) => untilSeconds - fromSeconds > 5);
      expect(isLong).toBe(false);
    }),
  );
});
