import type { CaseFile } from '@lettura/core/judge/checks';
import { NO_WHAT_IF, type JobWeighing } from '@lettura/core/judge/weighing';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { weigh as Weigh } from './weighingWorker.ts';
import type { WeighingQuestion, WeighingReply, WeighingStop } from './weighingMessages.ts';

/** Takes the place of the worker: keeps what it is asked, and answers when the test says so. */
class StandIn extends EventTarget {
  static made: StandIn[] = [];
  readonly asked: (WeighingQuestion | WeighingStop)[] = [];
  constructor() {
    super();
    StandIn.made.push(this);
  }
  postMessage(question: WeighingQuestion | WeighingStop): void {
    this.asked.push(question);
  }
  answer(number: number, stage: JobWeighing['stage']): void {
    const data = { number, weighing: { stage } } as WeighingReply;
    this.dispatchEvent(new MessageEvent('message', { data }));
  }
}

let weigh: typeof Weigh;
beforeEach(async () => {
  StandIn.made = [];
  vi.stubGlobal('Worker', StandIn);
  vi.resetModules();
  ({ weigh } = await import('./weighingWorker.ts'));
});
afterEach(() => vi.unstubAllGlobals());

const job = (codes: string[]) => ({
  caseFile: { codes } as unknown as CaseFile,
  wires: [],
  whatIf: NO_WHAT_IF,
});
const numbers = () => StandIn.made[0]!.asked.map(({ number }) => number);

test('each stage of an answer is heard, by the one who asked', () => {
  const heard: string[] = [];
  weigh(job(['P0107']), ({ stage }) => heard.push(stage));
  const [worker] = StandIn.made;
  worker!.answer(1, 'ranked');
  worker!.answer(1, 'next');
  worker!.answer(1, 'reasons');
  expect(heard).toEqual(['ranked', 'next', 'reasons']);
  expect(worker!.asked).toEqual([{ ...job(['P0107']), number: 1 }]);
});

test('an answer to what was asked before is of no interest any more', () => {
  const [first, second] = [vi.fn(), vi.fn()];
  weigh(job(['P0107']), first);
  weigh(job(['P0108']), second);
  StandIn.made[0]!.answer(1, 'reasons');
  expect(first).not.toHaveBeenCalled();
  expect(second).not.toHaveBeenCalled();
  StandIn.made[0]!.answer(2, 'ranked');
  expect(second).toHaveBeenCalledOnce();
});

test('whoever leaves stops the work, but not that of the one who came after', () => {
  const heard = vi.fn();
  const leave = weigh(job(['P0107']), heard);
  leave();
  expect(StandIn.made[0]!.asked.at(-1)).toEqual({ number: 2 });
  StandIn.made[0]!.answer(1, 'reasons');
  expect(heard).not.toHaveBeenCalled();
  const leaveSecond = weigh(job(['P0107']), vi.fn());
  weigh(job(['P0108']), heard);
  leaveSecond();
  expect(numbers()).toEqual([1, 2, 3, 4]);
  StandIn.made[0]!.answer(4, 'ranked');
  expect(heard).toHaveBeenCalledOnce();
});

test('one worker does for all that is asked', () => {
  for (let i = 0; i < 5; i++) weigh(job([]), vi.fn())();
  expect(StandIn.made).toHaveLength(1);
});
