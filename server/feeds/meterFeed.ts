import { setTimeout as pause } from 'node:timers/promises';
import type { FeedInfo } from '@lettura/contract';
import { say, verbatim, type Message } from '@lettura/core/measure/message';
import type { Logger } from 'pino';
import type { Feed } from './feed.ts';
import { FeedBuffer } from './feedBuffer.ts';
import { followAgain, type Waits } from './followAgain.ts';
import { addressOf } from './addressOf.ts';
import { Pace } from './pace.ts';
import { parseScpiError, parseScpiNumber, type ScpiValue } from './parseScpi.ts';
import { ScpiSession } from './scpiSession.ts';

export interface MeterFeedOptions extends Waits {
  id?: string;
  name?: string | undefined;
  host: string;
  port: number;
  /** A stand-in that shows invented values. */
  simulated?: boolean;
  /** As the instrument numbers them. */
  channels: readonly number[];
  samplesPerSecond: number;
  timeoutMs?: number;
  log: Logger;
}

const TIMEOUT_MS = 2000;
const KEPT_SAMPLES = 12_000;
const MOST_ERRORS = 10;

/** A bench meter or logger that is asked again and again; connects anew by itself, and never hangs on a silent one. */
export class MeterFeed implements Feed {
  readonly buffer = new FeedBuffer(KEPT_SAMPLES);
  readonly #options: MeterFeedOptions;
  readonly #stopped = new AbortController();
  readonly #done: Promise<void>;
  #session: ScpiSession | undefined;

  constructor(options: MeterFeedOptions) {
    this.#options = options;
    this.#done = this.#run();
  }

  get info(): FeedInfo {
    return {
      id: this.#options.id ?? 'meter',
      kind: 'meter',
      name: this.#options.name ?? this.buffer.status.instrument ?? 'Meter',
      ...addressOf(this.#options),
      simulated: this.#options.simulated ?? false,
      channels: this.#options.channels.map((channel) => ({ name: `Channel ${channel}`, unit: 'V' })),
      status: this.buffer.status,
    };
  }

  async stop(): Promise<void> {
    this.#stopped.abort();
    this.#session?.close();
    await this.#done;
  }

  #run(): Promise<void> {
    const { host, port, timeoutMs = TIMEOUT_MS, log, simulated: _simulated, ...waits } = this.#options;
    return followAgain(
      async (works) => {
        this.#session = await ScpiSession.open(host, port, timeoutMs);
        try {
          await this.#follow(this.#session, works);
        } finally {
          this.#session.close();
        }
      },
      (message) => {
        log.warn({ feed: 'meter', message }, 'The meter is away.');
        this.buffer.setStatus({ state: 'lost', message });
      },
      { ...waits, signal: this.#stopped.signal },
    );
  }

  async #follow(session: ScpiSession, works: () => void): Promise<void> {
    const { channels, samplesPerSecond } = this.#options;
    session.tell('*CLS');
    const [maker = '', model = ''] = (await session.ask('*IDN?')).split(',');
    const name = `${maker} ${model}`.trim().slice(0, 60);
    const everyMs = 1000 / samplesPerSecond;
    const pace = new Pace(samplesPerSecond);
    for (let due = performance.now(); !this.#stopped.signal.aborted; due += everyMs) {
      // All channels in one question: they belong to one moment, as nearly as the instrument can.
      const askedAtMs = performance.now();
      const line = await session.ask(`MEAS:VOLT:DC? (@${channels.join(',')})`);
      pace.count(askedAtMs, performance.now());
      const atMs = Date.now();
      const answers = line.split(',').map(parseScpiNumber);
      const values = channels.map((_, i) => {
        const answer = answers[i];
        return answer?.kind === 'value' ? answer.value : null;
      });
      const remark = (await this.#remarkOn(answers, session)) ?? pace.remark;
      this.buffer.push({ atMs, values });
      this.buffer.setStatus({ state: 'live', instrument: name, ...(remark ? { message: remark } : {}) });
      works();
      const left = due + everyMs - performance.now();
      // A slow instrument is asked as fast as it answers; what was missed is not made up.
      if (left < 0) due = performance.now() - everyMs;
      else await pause(left);
    }
  }

  async #remarkOn(answers: readonly ScpiValue[], session: ScpiSession): Promise<Message | undefined> {
    const { channels } = this.#options;
    const over = channels.find((_, i) => answers[i]?.kind === 'over-range');
    if (over !== undefined) return say('feed.over-range', { channel: over });
    const odd = channels.find((_, i) => answers[i]?.kind !== 'value');
    return odd === undefined
      ? undefined
      : ((await this.#errorOf(session)) ?? say('feed.no-number', { channel: odd }));
  }

  /** Empties the error queue and gives its first entry. */
  async #errorOf(session: ScpiSession): Promise<Message | undefined> {
    let first: string | undefined;
    for (let i = 0; i < MOST_ERRORS; i++) {
      const error = parseScpiError(await session.ask('SYST:ERR?'));
      if (error === undefined) break;
      first ??= error;
    }
    return first === undefined ? undefined : say('feed.device-says', { text: verbatim(first) });
  }
}
