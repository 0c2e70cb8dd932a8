import { inBrowser, openDemoJob } from './inBrowser.ts';

export interface WeighingFigures {
  readings: number;
  /** Medians after a reading was taken, from the page's question to its answer. */
  rankedMs: number;
  /** Until there is something to read next; the best of all that could be read comes with `next`. */
  suggestedMs: number;
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
  stage: Stage;
  number: number;
  ms: number;
}

type Stage = 'ranked' | 'suggested' | 'next' | 'reasons';

interface Answer {
  number: number;
  weighing: { stage: 'ranked' | 'next' | 'reasons'; next: unknown[] };
}

/** Readings of the largest job of the demo through the sheet, timed at its worker. */
export const weighingOnScreen = (databaseUrl: string): Promise<WeighingFigures | undefined> =>
  inBrowser(databaseUrl, async (page, _browser, url) => {
    await page.addInitScript(timeQuestions);
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
      const noted = await read();
      after.push(...noted.timed);
      longest = Math.max(longest, ...noted.held);
      await page.getByRole('button', { name: 'Close' }).click();
    }
    return {
      readings: LINES.length,
      rankedMs: medianOf('ranked', after),
      suggestedMs: medianOf('suggested', after),
      nextMs: medianOf('next', after),
      reasonsMs: medianOf('reasons', after),
      firstMs: first.timed.find(({ stage }) => stage === 'next')?.ms ?? NaN,
      longestTaskMs: longest,
    };
  });

/** Runs in the page: notes when its worker is asked and answers, and whatever holds the page up. */
function timeQuestions(): void {
  const timed: Timed[] = [];
  const held: number[] = [];
  Object.assign(window, { timed, held });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) held.push(duration);
  }).observe({ type: 'longtask' });
  window.Worker = class extends Worker {
    readonly #asked = new Map<number, number>();
    constructor(file: string | URL, options?: WorkerOptions) {
      super(file, options);
      this.addEventListener('message', ({ data: { number, weighing } }: MessageEvent<Partial<Answer>>) => {
        const asked = number === undefined ? undefined : this.#asked.get(number);
        if (!weighing || number === undefined || asked === undefined) return;
        const ms = performance.now() - asked;
        const stage = weighing.stage === 'ranked' && weighing.next.length > 0 ? 'suggested' : weighing.stage;
        timed.push({ stage, number, ms });
      });
    }
    override postMessage(question: { number: number }): void {
      this.#asked.set(question.number, performance.now());
      super.postMessage(question);
    }
  };
}

/** Of each question the first answer of a stage. */
function medianOf(stage: Stage, timed: readonly Timed[]): number {
  const firsts = new Map<number, number>();
  for (const one of timed) if (one.stage === stage && !firsts.has(one.number)) firsts.set(one.number, one.ms);
  const all = [...firsts.values()].sort((a, b) => a - b);
  return all[Math.floor(all.length / 2)] ?? NaN;
}
