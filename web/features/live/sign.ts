import { fitOf } from '@lettura/core/judge/expectation';

/** What a live value does, as far as eyes on the engine want to be told of it. */
export type Doing = 'lost' | 'moving' | 'steady-as-expected' | 'steady-out-of-band' | 'steady';
/** Told by ear and hand; whatever else happens is silent. */
export type Sign = Exclude<Doing, 'moving'>;

export function doingOf({
  fresh,
  steady,
  value,
  expected,
}: {
  /** Values still arrive. */
  fresh: boolean;
  steady: boolean;
  /** The newest one, in the unit of the band; undefined where none came or it is no number. */
  value: number | undefined;
  expected: { lowest: number; highest: number } | undefined;
}): Doing {
  if (!fresh || value === undefined) return 'lost';
  if (!steady) return 'moving';
  if (!expected) return 'steady';
  return fitOf(value, expected) === 'as-expected' ? 'steady-as-expected' : 'steady-out-of-band';
}

/** One sign where something came about, none while it lasts; nothing is lost that never was there. */
export function signOf(before: Doing | undefined, now: Doing): Sign | undefined {
  if (now === 'moving' || now === before) return undefined;
  return now === 'lost' && before === undefined ? undefined : now;
}
