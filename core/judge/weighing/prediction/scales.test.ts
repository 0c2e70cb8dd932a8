import { expect, test } from 'vitest';
import { METER_SCALE } from './scales.ts';

const { steps, stepOf, readAt } = METER_SCALE;
/** Steps that grow with what is shown, by the rule that they are looked up for: 18 mV, and 0.9 % more for each. */
const byRule = (volts: number): number => {
  const grown = Math.log1p((Math.abs(volts) * 0.009) / 0.018) / 0.009;
  return Math.min(steps - 1, Math.max(0, Math.round(40 + (volts < 0 ? -grown : grown))));
};

test('a voltage is in the step that the rule gives, from below the lowest to above the highest', () => {
  for (let millivolts = -3000; millivolts <= 20_000; millivolts++) {
    // Just beside the even millivolts, since an end of a step may be either.
    const volts = millivolts / 1000 + 0.000_013;
    expect(stepOf(volts), `${volts} V`).toBe(byRule(volts));
  }
});

test('the reading in the middle of a step is in that step', () => {
  for (let step = 0; step < steps; step++) expect(stepOf(readAt(step))).toBe(step);
});
