/** What was found, with its number, and what to do about it. Errors are values; `throw` is for a bug. */
export interface Problem<Code extends string = string> {
  code: Code;
  message: string;
  next: string;
}

export type Result<T, Code extends string = string> =
  { ok: true; value: T } | { ok: false; problem: Problem<Code> };

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });

export const fail = <Code extends string>(
  code: Code,
  message: string,
  next: string,
): { ok: false; problem: Problem<Code> } => ({ ok: false, problem: { code, message, next } });
