import { transferFromPoints, type CurvePoint, type ShapeChoice } from '@lettura/core/measure/transfer';

export interface FitRatio {
  form: ShapeChoice['form'];
  milliseconds: number;
  /** Against one pass over the points that only adds up what a straight line needs. */
  ratio: number;
}

const POINTS = 1000;
const ROUNDS = 30;

/** Fitting a thousand points to each form, with residuals, uncertainty and the search for a doubtful one. */
export function fitRatios(): FitRatio[] {
  const points: CurvePoint[] = Array.from({ length: POINTS }, (_, i) => {
    const value = 0.5 + (240 * i) / POINTS;
    return { value, volts: Math.sqrt(0.9 + 0.95 * value ** 0.52) + 0.004 * Math.sin(i * 12.9898) };
  });
  const bare = best(() => bareSums(points));
  return (['line', 'polynomial', 'hot-element'] as const).map((form) => {
    const time = best(() => {
      const fit = transferFromPoints(points, { form, degree: 3, ratiometric: false, referenceVolts: 5 });
      if (!fit.ok) throw new Error(fit.problem.code);
    });
    return { form, milliseconds: time, ratio: time / bare };
  });
}

let sink = 0;
function bareSums(points: readonly CurvePoint[]): void {
  let x = 0;
  let y = 0;
  let xx = 0;
  let xy = 0;
  for (const { value, volts } of points) {
    x += value;
    y += volts;
    xx += value * value;
    xy += value * volts;
  }
  sink += x + y + xx + xy;
}

function best(work: () => void): number {
  let shortest = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now();
    work();
    shortest = Math.min(shortest, performance.now() - start);
  }
  if (Number.isNaN(sink)) throw new Error('the bare loop was optimised away');
  return shortest;
}
