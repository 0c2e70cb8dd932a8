import fc from 'fast-check';
import { expect, test } from 'vitest';
import { coded } from '../../measure/message/coded.ts';
import { THROTTLE_PROFILE } from '../../judge/checks/exampleCase.ts';
import { dropouts } from './dropouts.ts';
import { analyseSweep } from './index.ts';
import { jumps } from './jumps.ts';

const RATE = 200;
/** A hand goes there and back along these places of the way, in so many seconds each; 0.9 to 3.9 V. */
function moved(places: readonly (readonly [to: number, seconds: number])[], felt = (share: number) => share) {
  const shares: number[] = [];
  let at = 0;
  for (const [to, seconds] of places) {
    const samples = Math.max(1, Math.round(seconds * RATE));
    for (let i = 1; i <= samples; i++) shares.push(at + ((to - at) * i) / samples);
    at = to;
  }
  return {
    seconds: Float64Array.from(shares, (_, i) => i / RATE),
    values: Float64Array.from(shares, (share, i) => 0.9 + 3 * felt(share) + 0.003 * Math.sin(1.7 * i)),
  };
}
const THERE_AND_BACK = [
  [0, 0.5],
  [1, 4],
  [1, 0.5],
  [0, 4],
  [0, 0.5],
] as const;
const sticking = (share: number): number => (share > 0.3 && share < 0.62 ? 0.3 : share);
const found = ({ seconds, values }: ReturnType<typeof moved>) =>
  jumps({ seconds }, values, dropouts({ seconds }, values));

test('a sensor that sticks from three to six tenths of its way jumps there and back', () => {
  const all = found(moved(THERE_AND_BACK, sticking));
  expect(all).toHaveLength(2);
  for (const { stoodAtVolts } of all) expect(stoodAtVolts).toBeCloseTo(1.8, 1);
  expect(all[0]!.toVolts).toBeCloseTo(2.76, 1);
  expect(all[1]!.fromVolts).toBeCloseTo(2.76, 1);
});

test('one that sticks at its rest jumps out of it', () => {
  const all = found(moved(THERE_AND_BACK, (share) => (share > 0 && share < 0.4 ? 0 : share)));
  expect(all).toHaveLength(2);
  expect(all[0]!.stoodAtVolts).toBeCloseTo(0.9, 1);
});

test('a hand that stops, hurries or lets go does not jump, and nor does a dead spot', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0.06, max: 1.5, noNaN: true })),
        {
          minLength: 1,
          maxLength: 8,
        },
      ),
      (way) => {
        expect(found(moved([...way, [1, 1], [0, 0.06]]))).toEqual([]);
      },
    ),
  );
  const dead = (share: number): number => (share > 0.4 && share < 0.43 ? -0.3 : share);
  expect(found(moved(THERE_AND_BACK, dead))).toEqual([]);
});

test('it is told once, as a fault, with where and how often; of a pressure nobody knows how fast it goes', () => {
  const { seconds, values } = moved(THERE_AND_BACK, sticking);
  const analysed = (measures: 'position' | 'absolute-pressure') =>
    analyseSweep(
      { seconds, channels: [{ name: 'A', unit: 'V', values }] },
      { profile: { ...THROTTLE_PROFILE, measures }, uses: ['signal'] },
    ).filter(({ kind }) => kind === 'jump');
  const [told, ...more] = analysed('position');
  expect(more).toEqual([]);
  expect(told).toMatchObject({ weight: 'fault', channel: 0 });
  // 0.9 to 3.9 V are 0 to 100 %: it stands at 30 %.
  expect(told!.position).toBeCloseTo(30, 0);
  expect(coded(told!.sentence)).toContain('times: 2');
  expect(analysed('absolute-pressure')).toEqual([]);
});
