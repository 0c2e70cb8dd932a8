import { inBrowser, openDemoJob } from './inBrowser.ts';

export interface WeighingFigures {
  readings: number;
  /** Medians after a reading was taken: until the worker gave the ranking, what to read next, and all reasons. */
  rankedMs: number;
  nextMs: number;
  reasonsMs: number;
  /** The first question of all, while nothing of the circuit is worked out: until there is something to read next. */
  firstMs: number;
  /** The longest that the page was held up; 0 for less than 50 ms. */
  longestTaskMs: number;
}

/** A sound pedal, wire by wire, and what each reading changes little by little. */
const LINES = [
  'sig plug 0.92',
  'ref plug 4.99',
  'ret plug 6mV',
  'sig2 plug 0.46',
  'ref2 plug 4.98',
  'ret2 plug 7mV',
  'sig ecu 0.92',
  'ref ecu 5.00',
  'sig2 ecu 0.46',
  'ret ecu 3mV',
  'ref2 ecu 5.00',
  'sig conn 0.92',
] as const;

interface Timed {
  stage: string;
  number: number;
  ms: number;
}

/** Readings of the largest job of the demo through the sheet, timed at its worker. */
export const weighingOnScreen = (databaseUrl: string): Promise<WeighingFigures | undefined> =>
  inBrowser(databaseUrl, async (page, _browser, url) => {
    await page.addInitScript(() => {
      const timed: Timed[] = [];
      const held: number[] = [];
      Object.assign(window, { timed, held });
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) held.push(duration);
      }).observe({ type: 'longtask' });
      // What the worker is asked and answers, as the page itself sees it.
      window.Worker = class extends Worker {
        readonly #asked = new Map<number, number>();
        constructor(file: string | URL, options?: WorkerOptions) {
          super(file, options);
          this.addEventListener(
            'message',
            ({ data }: MessageEvent<{ number: number; weighing?: { stage: string } }>) => {
              const asked = this.#asked.get(data.number);
              if (data.weighing && asked !== undefined)
                timed.push({
                  stage: data.weighing.stage,
                  number: data.number,
                  ms: performance.now() - asked,
                });
            },
          );
        }
        override postMessage(question: { number: number }): void {
          this.#asked.set(question.number, performance.now());
          super.postMessage(question);
        }
      };
    });
    await openDemoJob(page, url, /crew van 3/u);
    const settled = page.locator('[aria-label=Standing][aria-busy=false]');
    await settled.waitFor();
    const read = () =>
      page.evaluate(() => {
        const { timed, held } = window as unknown as { timed: Timed[]; held: number[] };
        return { timed: timed.splice(0), held: held.splice(0) };
      });
    const first = await read();
    const after: Timed[] = [];
    let longest = 0;
    for (const line of LINES) {
      const entry = page.locator('#quick-entry');
      await entry.fill(line);
      await entry.press('Enter');
      await page.getByRole('status').filter({ hasText: 'Undo' }).waitFor();
      await settled.waitFor();
      const { timed, held } = await read();
      after.push(...timed);
      longest = Math.max(longest, ...held);
      await page.getByRole('button', { name: 'Close' }).click();
    }
    /** Of each question the first answer of a stage. */
    const of = (stage: string): number => {
      const firsts = new Map<number, number>();
      for (const { stage: at, number, ms } of after)
        if (at === stage && !firsts.has(number)) firsts.set(number, ms);
      return median([...firsts.values()]);
    };
    return {
      readings: LINES.length,
      rankedMs: of('ranked'),
      nextMs: of('next'),
      reasonsMs: of('reasons'),
      firstMs: first.timed.find(({ stage }) => stage === 'next')?.ms ?? NaN,
      longestTaskMs: longest,
    };
  });

const median = (all: number[]): number => all.sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? NaN;
