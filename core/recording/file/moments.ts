/** Bytes of a cell as text. */
export const textOf = (bytes: Uint8Array, start: number, stop: number): string =>
  String.fromCharCode(...bytes.subarray(start, stop));

/** Seconds of a clock, whose decimals stand behind a point or a comma. */
export const secondsIn = (bytes: Uint8Array, start: number, stop: number): number =>
  Number(textOf(bytes, start, stop).replace(',', '.'));

const ZONE = /(?:Z|[+-]\d{2}:?\d{2})$/u;

/** Whether a written time says how far it is from universal time. */
export const hasZone = (written: string): boolean => ZONE.test(written);

/** An ISO 8601 date with time; without a zone its own clock is as good as any. */
export function dateSeconds(written: string): { wholeSeconds: number; fraction: number } {
  const text = written.replace(' ', 'T').replace(',', '.');
  const [zone = 'Z'] = ZONE.exec(text) ?? [];
  const [whole = '', fraction = ''] = text.replace(ZONE, '').split('.');
  return {
    wholeSeconds: Date.parse(whole + zone) / 1000,
    fraction: fraction === '' ? 0 : Number(`0.${fraction}`),
  };
}
