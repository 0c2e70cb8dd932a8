import type { MachineState } from '@lettura/core/machine/places';

/** What a hand moves: per cent of a travel, or a pump's pressure; nothing done is zero of either. */
function levelOf({ stimulus }: MachineState): number {
  switch (stimulus?.kind) {
    case 'full-travel':
      return 100;
    case 'held':
      return stimulus.percent;
    case 'pump':
      return stimulus.kpaAboveAmbient;
    case 'valve-open':
    case undefined:
      return 0;
  }
}

const moves = ({ stimulus }: MachineState): 'travel' | 'pump' | undefined => {
  if (stimulus?.kind === 'pump') return 'pump';
  return stimulus?.kind === 'held' || stimulus?.kind === 'full-travel' ? 'travel' : undefined;
};

/** A hand on a simulated machine: it brings it from one state into another, as fast as it moves. */
export class SimulatedHand {
  #from: MachineState;
  #to: MachineState;
  #startMs = 0;
  #durationMs = 0;

  constructor(state: MachineState) {
    this.#from = state;
    this.#to = state;
  }

  moveTo(state: MachineState, seconds: number, nowMs: number): void {
    this.#from = this.stateAt(nowMs);
    this.#to = state;
    this.#startMs = nowMs;
    this.#durationMs = 1000 * seconds;
  }

  stateAt(nowMs: number): MachineState {
    const share = (nowMs - this.#startMs) / this.#durationMs;
    if (!(share < 1)) return this.#to;
    const kind = moves(this.#to) ?? moves(this.#from);
    if (kind === undefined) return this.#to;
    const level = levelOf(this.#from) + Math.max(0, share) * (levelOf(this.#to) - levelOf(this.#from));
    return {
      ...this.#to,
      stimulus: kind === 'pump' ? { kind: 'pump', kpaAboveAmbient: level } : { kind: 'held', percent: level },
    };
  }
}
