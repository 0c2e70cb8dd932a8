import { MPX4250A, pressuresFromSignals } from '@lettura/core/transfer';

const SAMPLES = 10_000_000;
const ROUNDS = 7;

/** The core's batch conversion against the same arithmetic written out by hand; the best of several rounds each. */
export function conversionRatio(): { value: number; unit: string; ratio: number } {
  const volts = new Float64Array(SAMPLES);
  for (let i = 0; i < SAMPLES; i++) volts[i] = 0.2 + (4.6 * i) / SAMPLES;
  const into = new Float64Array(SAMPLES);
  let core = Infinity;
  let bare = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    bare = Math.min(
      bare,
      milliseconds(() => bareLoop(volts, into)),
    );
    const expected = into[SAMPLES >> 1];
    core = Math.min(
      core,
      milliseconds(() => pressuresFromSignals(volts, 4.95, MPX4250A, into)),
    );
    if (Math.abs((into[SAMPLES >> 1] ?? NaN) - (expected ?? NaN)) > 1e-9)
      throw new Error('The two loops disagree.');
  }
  return { value: (core * 1e6) / SAMPLES, unit: 'ns a sample', ratio: core / bare };
}

function bareLoop(volts: Float64Array, into: Float64Array): void {
  for (let i = 0; i < volts.length; i++) into[i] = ((volts[i] as number) / 4.95 + 0.04) / 0.004;
}

function milliseconds(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
