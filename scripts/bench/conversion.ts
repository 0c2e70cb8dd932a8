import { MPX4250A, pchip, valuesFromSignals, type SensorProfile } from '@lettura/core/measure/transfer';

const SAMPLES = 10_000_000;
const ROUNDS = 7;
const SUPPLY_VOLTS = 4.95;

type Ratio = { value: number; unit: string; ratio: number };
type Loop = (volts: Float64Array, into: Float64Array) => void;

/** The core's batch conversion against the same arithmetic written out by hand. */
export const conversionRatio = (): Ratio =>
  best(bareLine, (volts, into) => valuesFromSignals(volts, SUPPLY_VOLTS, MPX4250A, into));

const POINTS = Array.from({ length: 24 }, (_, i) => ({
  volts: 0.2 + 0.2 * i,
  value: 20 + 6 * i + 0.15 * i * i,
}));
const TABLE: SensorProfile = {
  ...MPX4250A,
  measures: 'absolute-pressure',
  transfer: { form: 'table', points: POINTS, ratiometric: false },
};

/** The same for a table: a search for the piece and a cubic, against both written out by hand. */
export const tableConversionRatio = (): Ratio =>
  best(bareTable(), (volts, into) => valuesFromSignals(volts, SUPPLY_VOLTS, TABLE, into));

/** The best of several rounds each, in turns; both must give the same numbers. */
function best(bareLoop: Loop, coreLoop: Loop): Ratio {
  const volts = new Float64Array(SAMPLES);
  // A signal that wanders, as a recording does: a rising ramp would make every search trivial.
  for (let i = 0; i < SAMPLES; i++) volts[i] = 2.5 + 2.2 * Math.sin(i * 0.37);
  const into = new Float64Array(SAMPLES);
  let core = Infinity;
  let bare = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    bare = Math.min(
      bare,
      milliseconds(() => bareLoop(volts, into)),
    );
    const expected = into[SAMPLES >> 1] ?? NaN;
    core = Math.min(
      core,
      milliseconds(() => coreLoop(volts, into)),
    );
    if (!(Math.abs((into[SAMPLES >> 1] ?? NaN) - expected) < 1e-9))
      throw new Error('The two loops disagree.');
  }
  return { value: (core * 1e6) / SAMPLES, unit: 'ns a sample', ratio: core / bare };
}

function bareLine(volts: Float64Array, into: Float64Array): void {
  for (let i = 0; i < volts.length; i++) into[i] = ((volts[i] as number) / SUPPLY_VOLTS + 0.04) / 0.004;
}

/** Pieces of the cubic taken from the core, the loop over them by hand. */
function bareTable(): Loop {
  const x = Float64Array.from(POINTS, ({ volts }) => volts);
  const y = Float64Array.from(POINTS, ({ value }) => value);
  const cubic = pchip([...x], [...y]);
  const pieces = x.length - 1;
  const slope = Float64Array.from(x, (at) => cubic.slopeAt(at));
  const c2 = new Float64Array(pieces);
  const c3 = new Float64Array(pieces);
  for (let i = 0; i < pieces; i++) {
    const h = x[i + 1]! - x[i]!;
    const secant = (y[i + 1]! - y[i]!) / h;
    c2[i] = (3 * secant - 2 * slope[i]! - slope[i + 1]!) / h;
    c3[i] = (slope[i]! - 2 * secant + slope[i + 1]!) / (h * h);
  }
  return (volts, into) => {
    for (let k = 0; k < volts.length; k++) {
      const at = volts[k]!;
      let low = 0;
      let high = pieces - 1;
      while (low < high) {
        const middle = (low + high + 1) >> 1;
        if (x[middle]! <= at) low = middle;
        else high = middle - 1;
      }
      const s = at - x[low]!;
      into[k] = y[low]! + s * (slope[low]! + s * (c2[low]! + s * c3[low]!));
    }
  };
}

function milliseconds(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
