import { Piscina } from 'piscina';

/** Work that takes seconds of a processor, in threads of its own: whoever else asks the server for something does not wait for it. */
export interface Threads<Asked, Answer> {
  run(asked: Asked): Promise<Answer>;
  /** Ends the threads; the next question begins new ones. */
  end(): Promise<void>;
}

export function threads<Asked, Answer>(
  worker: URL,
  { most, kept, idleMs }: { most: number; kept: number; idleMs: number },
): Threads<Asked, Answer> {
  let pool: Piscina<Asked, Answer> | undefined;
  return {
    run(asked) {
      pool ??= new Piscina({
        filename: worker.href,
        execArgv: ['--import', 'tsx'],
        minThreads: kept,
        maxThreads: most,
        idleTimeout: idleMs,
      });
      return pool.run(asked);
    },
    async end() {
      const ending = pool;
      pool = undefined;
      await ending?.destroy();
    },
  };
}
