import { say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { curveOf } from './curve.ts';
import { distinctValues, type CurveFit } from './curveFit.ts';
import { doubtfulPoint, LEAST_SCATTER_VOLTS } from './doubtfulPoint.ts';
import { leastSquares } from './leastSquares.ts';
import type { CurvePoint, HotElementTransfer } from './sensorProfile.ts';

type Law = Omit<HotElementTransfer, 'form'>;

/** King's law has n near 0.5; past these it describes no heated element. */
export const HOT_ELEMENT_EXPONENTS = { lowest: 0.2, highest: 1 } as const;

/**
 * V² = a + b·flowⁿ by least squares in volts: Gauss–Newton steps, shortened until they lead down.
 * Fails with `too-few-points` below four flows (three parameters and one to check them), and with `no-such-law` where
 * no exponent between 0.2 and 1 fits.
 */
export function fitHotElement(
  points: readonly CurvePoint[],
): Result<CurveFit, 'too-few-points' | 'no-such-law'> {
  if (distinctValues(points) < 4) {
    return fail(
      'too-few-points',
      say('transfer.hot-element-law-needs-four'),
      say('transfer.enter-more-points-still-air'),
    );
  }
  const law = points.every(({ volts, value }) => volts > 0 && value >= 0) && settled(points);
  const fit = law && linearised(points, law);
  if (!law || !fit || !(law.b > 0) || !within(law.n)) {
    return fail(
      'no-such-law',
      say('transfer.no-law-v-b-flow'),
      say('transfer.check-points-choose-curve-through'),
    );
  }
  const transfer: HotElementTransfer = { form: 'hot-element', ...law };
  const curve = curveOf({ transfer, nominalReferenceVolts: 1 }, 1);
  return ok({
    transfer,
    residualVolts: points.map(({ volts, value }) => volts - curve.voltsAt(value)),
    scatterVolts: fit.scatter,
    standardUncertaintyVoltsAt: (flow) => fit.standardUncertaintyOf(slopes(flow, law)),
    doubtful: doubtfulPoint(fit, LEAST_SCATTER_VOLTS),
  });
}

const within = (n: number): boolean =>
  n >= HOT_ELEMENT_EXPONENTS.lowest && n <= HOT_ELEMENT_EXPONENTS.highest;

const voltsOf = (flow: number, { a, b, n }: Law): number => Math.sqrt(Math.max(1e-12, a + b * flow ** n));

/** Of the volts by a, b and n. */
function slopes(flow: number, law: Law): number[] {
  const twice = 2 * voltsOf(flow, law);
  const power = flow ** law.n;
  return [1 / twice, power / twice, flow > 0 ? (law.b * power * Math.log(flow)) / twice : 0];
}

/** One step: the law with its residuals put in the place of measurements. */
const linearised = (points: readonly CurvePoint[], law: Law) =>
  leastSquares(
    points.map(({ value }) => slopes(value, law)),
    points.map(({ volts, value }) => volts - voltsOf(value, law)),
  );

const squaresOf = (points: readonly CurvePoint[], law: Law): number =>
  points.reduce((sum, { volts, value }) => sum + (volts - voltsOf(value, law)) ** 2, 0);

/** The best law for each exponent of a grid is a straight line in flowⁿ; the best of those is close enough to start. */
function firstGuess(points: readonly CurvePoint[]): Law | undefined {
  let best: { law: Law; squares: number } | undefined;
  for (let n = 0.25; n <= 1; n += 0.05) {
    const line = leastSquares(
      points.map(({ value, volts }) => [1 / volts, value ** n / volts]),
      points.map(({ volts }) => volts),
    );
    if (!line) continue;
    const [a, b] = line.parameters as [number, number];
    const law = { a, b, n };
    const squares = squaresOf(points, law);
    if (!best || squares < best.squares) best = { law, squares };
  }
  return best?.law;
}

const MOST_STEPS = 100;
const SETTLED = 1e-14;

function settled(points: readonly CurvePoint[]): Law | undefined {
  let law = firstGuess(points);
  if (!law) return undefined;
  let squares = squaresOf(points, law);
  for (let i = 0; i < MOST_STEPS; i++) {
    const step = linearised(points, law)?.parameters;
    if (!step) return law;
    const next = shortened(points, law, step, squares);
    if (!next) return law;
    const gained = squares - next.squares;
    ({ law, squares } = next);
    if (gained <= SETTLED * squares) return law;
  }
  return law;
}

/** A full step may overshoot a bent valley: it is halved until it leads down. */
function shortened(points: readonly CurvePoint[], from: Law, step: readonly number[], squares: number) {
  for (let share = 1; share > 1e-6; share /= 2) {
    const law = { a: from.a + share * step[0]!, b: from.b + share * step[1]!, n: from.n + share * step[2]! };
    const then = squaresOf(points, law);
    if (then < squares) return { law, squares: then };
  }
  return undefined;
}
