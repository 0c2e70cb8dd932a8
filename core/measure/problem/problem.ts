import { say, type Message } from '../message/index.ts';

/** What was found, with its number, and what to do about it. Errors are values; `throw` is for a bug. */
export interface Problem<Code extends string = string> {
  code: Code;
  message: Message;
  next: Message;
}

export type Result<T, Code extends string = string> =
  { ok: true; value: T } | { ok: false; problem: Problem<Code> };

/** Both in a row, for where it stands in one line. */
export const problemSaid = ({ message, next }: Pick<Problem, 'message' | 'next'>): Message =>
  say('say.problem', { message, next });

/** What was asked for. */
export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });

/** Why it was not to be had: a code, what is wrong, and what to do. */
export const fail = <Code extends string>(
  code: Code,
  message: Message,
  next: Message,
): { ok: false; problem: Problem<Code> } => ({ ok: false, problem: { code, message, next } });
