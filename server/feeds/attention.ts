/** Whether somebody looks at something just now, and a way to wait until somebody does. */
export class Attention {
  #lookers = 0;
  readonly #waiting = new Set<() => void>();

  get isPaid(): boolean {
    return this.#lookers > 0;
  }

  /** @returns ends it, once */
  begin(): () => void {
    this.#lookers++;
    for (const go of [...this.#waiting]) go();
    let isOver = false;
    return () => {
      if (!isOver) this.#lookers--;
      isOver = true;
    };
  }

  /** Resolves at once where somebody looks, else when somebody begins to, or when the signal gives up. */
  until(signal: AbortSignal): Promise<void> {
    if (this.isPaid || signal.aborted) return Promise.resolve();
    return new Promise((resolve) => {
      const go = () => {
        this.#waiting.delete(go);
        signal.removeEventListener('abort', go);
        resolve();
      };
      this.#waiting.add(go);
      signal.addEventListener('abort', go, { once: true });
    });
  }
}
