import { fixed, say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';

/**
 * What a pressure is counted from. Vacuum counts downwards from ambient, gauge upwards; only ambient pressure
 * connects either with absolute. Differential pressure needs no ambient and converts to none of them.
 */
export const PRESSURE_BASES = ['absolute', 'gauge', 'vacuum'] as const;
export type PressureBasis = (typeof PRESSURE_BASES)[number];

export interface PressureReading {
  pressureKpa: number;
  basis: PressureBasis;
}

/** Fails with `below-absolute-zero` when more vacuum is claimed than there is ambient pressure to take away. */
export function toKpaAbs(
  { pressureKpa, basis }: PressureReading,
  ambientKpaAbs: number,
): Result<number, 'below-absolute-zero'> {
  const kpaAbs =
    basis === 'absolute' ? pressureKpa : ambientKpaAbs + (basis === 'gauge' ? pressureKpa : -pressureKpa);
  if (kpaAbs < 0) {
    return fail(
      'below-absolute-zero',
      say('quantity.below-nothing-ambient', {
        pressureKpa: fixed(pressureKpa, 1, 'kPa'),
        basis,
        kpaAbs: fixed(-kpaAbs, 1, 'kPa'),
        ambientKpaAbs: fixed(ambientKpaAbs, 1, 'kPa'),
      }),
      say('quantity.check-unit-basis-ambient-pressure'),
    );
  }
  return ok(kpaAbs);
}

/** kPa absolute on another basis; vacuum counts down from ambient, so that more is lower. */
export function fromKpaAbs(kpaAbs: number, basis: PressureBasis, ambientKpaAbs: number): number {
  if (basis === 'absolute') return kpaAbs;
  return basis === 'gauge' ? kpaAbs - ambientKpaAbs : ambientKpaAbs - kpaAbs;
}
