import { framesOf, requestFor, type CanFrame, type UnitAddress } from '@lettura/core/record/onBoard';
import { afterEach, expect, test, vi } from 'vitest';
import type { Adapter } from './adapter.ts';
import { Tester } from './tester.ts';

afterEach(() => vi.useRealTimers());

const ENGINE: UnitAddress = { answersWith: 0x7e8, isExtended: false };
const LIVE_DATA_ANSWERED = 0x41;

/** A bus on which one unit answers every item at once, with the number of the item as its value. */
function busOf(): { adapter: Adapter; asked: number[]; mostAtOnce: () => number } {
  const asked: number[] = [];
  let hear: (frame: CanFrame) => void = () => {};
  let [waiting, most] = [0, 0];
  const adapter = {
    send: ({ bytes: [, , item = 0] }: CanFrame) => {
      asked.push(item);
      most = Math.max(most, ++waiting);
      queueMicrotask(() => {
        waiting--;
        for (const bytes of framesOf([LIVE_DATA_ANSWERED, item, item]))
          hear({ id: ENGINE.answersWith, isExtended: false, bytes });
      });
    },
    hear: (heard: typeof hear) => {
      hear = heard;
      return () => {};
    },
  };
  return { adapter: adapter as unknown as Adapter, asked, mostAtOnce: () => most };
}

test('sixty items are asked for in turn as fast as the bus answers, none before the last one was answered', async () => {
  // No clock goes: whoever waited a while between two items would wait for ever.
  vi.useFakeTimers();
  const { adapter, asked, mostAtOnce } = busOf();
  const tester = new Tester(adapter);
  const items = Array.from({ length: 60 }, (_, i) => 4 + i);
  const answers = await Promise.all(items.map((item) => tester.ask(requestFor('live-data', item), ENGINE)));
  expect(asked).toEqual(items);
  expect(mostAtOnce()).toBe(1);
  expect(answers.map(([one]) => one?.answer)).toEqual(
    items.map((item) => ({ kind: 'answer', data: [item] })),
  );
});
