import {
  answerTo,
  askedWith,
  framesOf,
  GO_ON,
  Receiver,
  unitOf,
  type Asked,
  type CanFrame,
  type ServiceAnswer,
  type UnitAddress,
} from '@lettura/core/record/onBoard';
import type { FeedFault } from '../feeds/feedFault.ts';
import type { Adapter } from './adapter.ts';

/** What one unit said to a request; `lost` where a piece of its answer was missing. */
export interface UnitAnswer {
  unit: UnitAddress;
  answer: Exclude<ServiceAnswer, { kind: 'other' }> | { kind: 'lost' };
}

export interface Waits {
  /** For a unit to begin its answer: the standard gives it 50 ms, and an adapter over a network takes its own. */
  answerMs: number;
  /** For a unit that said it needs longer. */
  longMs: number;
  /** For the next piece of an answer that has begun. */
  pieceMs: number;
}
/** ISO 15765-4 and 15765-2, from memory, and the way there and back. */
export const STANDARD_WAITS: Waits = { answerMs: 500, longMs: 5200, pieceMs: 1000 };

/** Asks the units of a vehicle, one request at a time: whoever asks meanwhile waits for its turn. */
export class Tester {
  readonly #adapter: Adapter;
  readonly #waits: Waits;
  #turn: Promise<unknown> = Promise.resolve();

  constructor(adapter: Adapter, waits: Waits = STANDARD_WAITS) {
    this.#adapter = adapter;
    this.#waits = waits;
  }

  /** What one unit says, or all that say something within their time; none where nobody does. */
  ask(request: readonly number[], asked: Asked): Promise<UnitAnswer[]> {
    const answers = this.#turn.then(() => this.#ask(request, asked));
    this.#turn = answers.catch(() => {});
    return answers;
  }

  #ask(request: readonly number[], asked: Asked): Promise<UnitAnswer[]> {
    return new Promise((resolve, reject) => {
      const answers: UnitAnswer[] = [];
      const open = new Map<number, { unit: UnitAddress; receiver: Receiver; untilMs: number }>();
      let openUntilMs = Date.now() + this.#waits.answerMs;
      const done = (fault?: FeedFault) => {
        clearInterval(timer);
        leave();
        if (fault) reject(fault);
        else resolve(answers);
      };
      const answered = (unit: UnitAddress, answer: UnitAnswer['answer']) => {
        open.delete(unit.answersWith);
        answers.push({ unit, answer });
        if (typeof asked !== 'string' && open.size === 0) done();
      };
      const hear = (frame: CanFrame) => {
        const unit = unitOf(frame);
        if (!unit || (typeof asked !== 'string' && asked.answersWith !== unit.answersWith)) return;
        const receiver = open.get(unit.answersWith)?.receiver ?? new Receiver();
        const wait = (ms: number) => open.set(unit.answersWith, { unit, receiver, untilMs: Date.now() + ms });
        const received = receiver.take(frame.bytes);
        switch (received.kind) {
          case 'begun':
            wait(this.#waits.pieceMs);
            this.#adapter.send({ ...askedWith(unit), bytes: GO_ON });
            return;
          case 'more':
            wait(this.#waits.pieceMs);
            return;
          case 'lost':
            answered(unit, { kind: 'lost' });
            return;
          case 'message': {
            const answer = answerTo(request, received.message);
            if (answer.kind === 'other') return;
            if (answer.kind === 'refused' && answer.why === 'wait') wait(this.#waits.longMs);
            else answered(unit, answer);
            return;
          }
          case 'none':
        }
      };
      const look = () => {
        const now = Date.now();
        for (const { unit, untilMs } of [...open.values()])
          if (now > untilMs) answered(unit, { kind: 'lost' });
        if (open.size === 0 && now > openUntilMs) done();
      };
      const timer = setInterval(look, LOOK_MS);
      const leave = this.#adapter.hear(hear, (fault) => {
        clearInterval(timer);
        reject(fault);
      });
      openUntilMs = Date.now() + this.#waits.answerMs;
      for (const bytes of framesOf(request)) this.#adapter.send({ ...askedWith(asked), bytes });
    });
  }
}

/** How often it is looked whether somebody's time is over. */
const LOOK_MS = 10;
