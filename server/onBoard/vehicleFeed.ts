import type { Clearing, FeedInfo, VehicleReport } from '@lettura/contract';
import { LIVE_ITEM_IDS, LIVE_ITEMS, liveValue } from '@lettura/core/machine/live';
import { say } from '@lettura/core/measure/message';
import {
  requestFor,
  sameUnit,
  SUPPORTED_LISTS,
  type Asked,
  type UnitReport,
} from '@lettura/core/record/onBoard';
import { setTimeout as pause } from 'node:timers/promises';
import type { Logger } from 'pino';
import type { DevicePlace, SocketPlace } from '../feeds/addressOf.ts';
import type { Feed } from '../feeds/feed.ts';
import { FeedBuffer } from '../feeds/feedBuffer.ts';
import { FeedFault } from '../feeds/feedFault.ts';
import { followAgain, type Waits as WaitsBetween } from '../feeds/followAgain.ts';
import { liveDataInfo, StandingItems } from '../feeds/standingItems.ts';
import { Adapter } from './adapter.ts';
import { clearCodes } from './clearCodes.ts';
import { findUnits, type FoundUnit } from './findUnits.ts';
import { readUnit } from './readUnit.ts';
import { STANDARD_WAITS, Tester, type Waits } from './tester.ts';

export type VehicleFeedOptions = (SocketPlace | DevicePlace) & VehicleFollowed;

interface VehicleFollowed extends WaitsBetween {
  name?: string | undefined;
  /** A stand-in that shows invented values. */
  simulated?: boolean;
  connectMs?: number;
  waits?: Waits;
  log: Logger;
}

const CONNECT_MS = 2000;
const KEPT_SAMPLES = 12_000;
/** A vehicle without an item that is known here is asked this often whether it is still there. */
const STILL_THERE_MS = 1000;
/** So many requests in a row that nobody answered, and the vehicle is gone: its key was turned, or the plug pulled. */
const MOST_UNANSWERED = 6;

/** Beside its name. */
const saysNothing = (report: UnitReport): boolean => Object.keys(report).length === 1;

interface Connected {
  tester: Tester;
  units: readonly FoundUnit[];
  all: Asked;
}

/** Live data of a vehicle that is asked for it, item after item; the same connection reads and clears codes. */
export class VehicleFeed implements Feed {
  readonly buffer = new FeedBuffer(KEPT_SAMPLES);
  readonly #options: VehicleFeedOptions;
  readonly #stopped = new AbortController();
  readonly #done: Promise<void>;
  readonly #standing = new StandingItems();
  #adapter: Adapter | undefined;
  /** Live data waits while codes are read: a report is asked for by somebody who waits for it. */
  #aside: Promise<unknown> = Promise.resolve();
  #connected: Connected | undefined;
  /** Those who wait until it is found, or is not. */
  readonly #waiting = new Set<{ found: (vehicle: Connected) => void; lost: (fault: FeedFault) => void }>();

  constructor(options: VehicleFeedOptions) {
    this.#options = options;
    this.#done = this.#run();
  }

  get info(): FeedInfo {
    return { ...liveDataInfo(this.buffer.status, this.#options), readsCodes: true };
  }

  async stop(): Promise<void> {
    this.#stopped.abort();
    this.#adapter?.close();
    this.#isLost(new FeedFault(say('feed.connection-closed')));
    await this.#done;
  }

  /** Everything that its units say of themselves; fails where no vehicle answers just now. */
  report(): Promise<VehicleReport> {
    return this.#asked((vehicle) => {
      const report = this.#report(vehicle);
      this.#aside = report;
      return report;
    });
  }

  async #report({ tester, units, all }: Connected): Promise<VehicleReport> {
    // Who is there just now: a key may have been turned since, and a unit that is gone has not said that it has no codes.
    const there = await tester.ask(requestFor('live-data', SUPPORTED_LISTS[0]!), all);
    if (there.length === 0) throw new FeedFault(say('feed.bus-silent'));
    const reports: VehicleReport['units'] = [];
    for (const one of units)
      if (there.some(({ unit }) => sameUnit(unit, one.unit))) reports.push(await readUnit(tester, one));
    // Turned off while it was asked: what it did not get to say is nothing that it does not have.
    if (reports.every(saysNothing)) throw new FeedFault(say('feed.bus-silent'));
    return {
      readAt: new Date().toISOString(),
      simulated: this.#options.simulated ?? false,
      units: reports,
    };
  }

  clear(): Promise<Clearing> {
    return this.#asked(async ({ tester, units, all }) => {
      const done = await clearCodes(
        tester,
        all,
        units.map(({ unit }) => unit),
      );
      return { clearedAt: new Date().toISOString(), ...done };
    });
  }

  /** Of a vehicle that is there, or is found within one try: whoever asks is attention as well. */
  async #asked<T>(ask: (vehicle: Connected) => Promise<T>): Promise<T> {
    const lookAway = this.buffer.attention.begin();
    try {
      return await ask(this.#connected ?? (await this.#found()));
    } finally {
      lookAway();
    }
  }

  #found(): Promise<Connected> {
    return new Promise((resolve, reject) => this.#waiting.add({ found: resolve, lost: reject }));
  }

  #isFound(vehicle: Connected): void {
    this.#connected = vehicle;
    for (const { found } of this.#waiting) found(vehicle);
    this.#waiting.clear();
  }

  #isLost(fault: FeedFault): void {
    for (const { lost } of this.#waiting) lost(fault);
    this.#waiting.clear();
  }

  #run(): Promise<void> {
    const { connectMs = CONNECT_MS, waits = STANDARD_WAITS, log, ...between } = this.#options;
    const { signal } = this.#stopped;
    return followAgain(
      async (works) => {
        // A bus that is asked does not go to sleep, and another tester may be on it: it is left alone until somebody looks.
        await this.buffer.attention.until(signal);
        if (signal.aborted) return;
        const adapter = await Adapter.open(this.#options, connectMs);
        this.#adapter = adapter;
        try {
          const tester = new Tester(adapter, waits);
          const vehicle = { tester, ...(await findUnits(adapter, tester)) };
          this.#isFound(vehicle);
          this.buffer.setStatus({ state: 'live', instrument: 'Vehicle' });
          await this.#poll(vehicle, works);
        } finally {
          this.#connected = undefined;
          adapter.close();
        }
      },
      (message) => {
        if (!signal.aborted) log.warn({ feed: 'live-data', message }, 'The vehicle is away.');
        this.buffer.setStatus({ state: 'lost', message });
        this.#standing.forget();
        this.#isLost(new FeedFault(message));
      },
      { ...between, signal },
    );
  }

  /** As fast as it answers, each item from the first unit that has it, while somebody looks. */
  async #poll({ tester, units, all }: Connected, works: () => void): Promise<void> {
    const wanted = LIVE_ITEM_IDS.flatMap((item) => {
      const unit = units.find(({ items }) => items.includes(item))?.unit;
      return unit ? [{ item, unit }] : [];
    });
    let unanswered = 0;
    const heard = (isHeard: boolean) => {
      unanswered = isHeard ? 0 : unanswered + 1;
      if (isHeard) works();
      if (unanswered >= MOST_UNANSWERED) throw new FeedFault(say('feed.bus-silent'));
    };
    while (!this.#stopped.signal.aborted) {
      for (const { item, unit } of wanted) {
        await this.#aside.catch(() => {});
        await this.buffer.attention.until(this.#stopped.signal);
        if (this.#stopped.signal.aborted) return;
        const [first] = await tester.ask(requestFor('live-data', item), unit);
        if (this.#stopped.signal.aborted) return;
        heard(first !== undefined);
        const value =
          first?.answer.kind === 'answer' ? liveValue(LIVE_ITEMS.get(item)!, first.answer.data) : undefined;
        // An item that it does not answer any more has no value, rather than its last.
        this.buffer.push({ atMs: Date.now(), values: this.#standing.with(item, value ?? null) });
      }
      if (wanted.length > 0) continue;
      await this.buffer.attention.until(this.#stopped.signal);
      heard((await tester.ask(requestFor('live-data', SUPPORTED_LISTS[0]!), all)).length > 0);
      await pause(STILL_THERE_MS, undefined, { signal: this.#stopped.signal }).catch(() => {});
    }
  }
}
