import type { PumpPoint } from './pumpPoint.ts';

/** Fewer steps than these show no rule. */
const FEWEST_STEPS = 3;
/** What stays within this stands still: noise, and the last digit of a meter. */
const STILL_VOLTS = 0.03;
/** Over steps that should move a signal by less nothing can be said. */
const MOVED_VOLTS = 0.3;

/** A signal that should have moved over the steps, and stood still. */
export interface NoResponse {
  steps: number;
  lowestVolts: number;
  highestVolts: number;
  /** By so much it should have moved, in volts. */
  expectedVolts: number;
}

/** Whether a pump moves nothing at all, which is another finding than a step that is off. */
export function noResponse(
  points: readonly Pick<PumpPoint, 'expected' | 'reading' | 'judged'>[],
): NoResponse | undefined {
  // On a rail, or without its supply, the circuit is looked at first: it says nothing of the pump.
  const read = points.flatMap(({ expected, reading, judged }) =>
    expected?.of === 'volts' && reading?.kind === 'wire' && judged?.ok !== false
      ? [{ volts: reading.volts, middle: (expected.lowest + expected.highest) / 2 }]
      : [],
  );
  if (read.length < FEWEST_STEPS) return undefined;
  const span = (values: readonly number[]) => [Math.min(...values), Math.max(...values)] as const;
  const [lowestVolts, highestVolts] = span(read.map(({ volts }) => volts));
  const [least, most] = span(read.map(({ middle }) => middle));
  return highestVolts - lowestVolts <= STILL_VOLTS && most - least >= MOVED_VOLTS
    ? { steps: read.length, lowestVolts, highestVolts, expectedVolts: most - least }
    : undefined;
}
