/** SCPI-99 7.2.1.5: an instrument says infinity and not-a-number as these. */
const OVER_RANGE = 9.9e37;
const NOT_A_NUMBER = 9.91e37;
const NUMBER = /^[+-]?\d+(?:\.\d*)?(?:e[+-]?\d+)?$/iu;

export type ScpiValue = { kind: 'value'; value: number } | { kind: 'over-range' } | { kind: 'garbage' };

/** One number of an answer. */
export function parseScpiNumber(text: string): ScpiValue {
  const trimmed = text.trim();
  if (!NUMBER.test(trimmed)) return { kind: 'garbage' };
  const value = Number(trimmed);
  if (Math.abs(value) === NOT_A_NUMBER) return { kind: 'garbage' };
  return Math.abs(value) >= OVER_RANGE ? { kind: 'over-range' } : { kind: 'value', value };
}

/** An entry of the error queue, `-113,"Undefined header"`; undefined where the queue is empty. */
export function parseScpiError(text: string): string | undefined {
  const [, code, words] = /^([+-]?\d+),"?([^"]*)"?$/u.exec(text.trim()) ?? [];
  return code === undefined || Number(code) === 0 ? undefined : `${words} (${code})`;
}
