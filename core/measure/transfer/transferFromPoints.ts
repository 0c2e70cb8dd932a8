import { plain, say, type Message } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import type { CurveFit, FitFault } from './curveFit.ts';
import { fitHotElement } from './fitHotElement.ts';
import { fitLine } from './fitLine.ts';
import { fitPolynomial } from './fitPolynomial.ts';
import { isCurve, isMonotone } from './isMonotone.ts';
import { isPulseCurve, PULSE_HERTZ, PULSE_PERCENT, type PulseTransfer } from './pulseCurve.ts';
import { VALUE_STEPS } from './sentValue.ts';
import type { CurvePoint, TransferFunction } from './sensorProfile.ts';

export const SHAPES = [
  'line',
  'table',
  'polynomial',
  'hot-element',
  'telegrams',
  'frequency',
  'duty',
] as const;

export interface ShapeChoice {
  form: (typeof SHAPES)[number];
  /** Of the polynomial; the other shapes have none. */
  degree: number;
  /** Whether the output follows the supply. */
  ratiometric: boolean;
  /** The reference that the volts were noted at. */
  referenceVolts: number;
}

/** The transfer function that points stand for: a law fitted to them, or a cubic through every one. */
export function transferFromPoints(
  points: readonly CurvePoint[],
  choice: ShapeChoice,
): Result<CurveFit, FitFault> {
  const fit = fitted(points, choice);
  if (!fit.ok || [...fit.value.residualVolts, fit.value.scatterVolts].every(Number.isFinite)) return fit;
  return fail(
    'no-such-law',
    say('transfer.no-such-curve-can-worked'),
    say('transfer.check-points-their-units-choose'),
  );
}

function fitted(points: readonly CurvePoint[], choice: ShapeChoice): Result<CurveFit, FitFault> {
  switch (choice.form) {
    case 'table':
      return throughEvery(points, choice.ratiometric);
    case 'line':
      return straight(points, choice);
    case 'polynomial':
      return fitPolynomial(points, choice.degree, choice.ratiometric);
    case 'hot-element':
      return fitHotElement(points);
    case 'telegrams':
      return sentSteps(points);
    case 'frequency':
    case 'duty':
      return sentPulses(points, choice.form);
  }
}

function throughEvery(
  points: readonly CurvePoint[],
  ratiometric: boolean,
): Result<CurveFit, 'too-few-points' | 'not-a-curve'> {
  if (points.length < 3) {
    return fail(
      'too-few-points',
      say('transfer.table-needs-three-points'),
      say('transfer.enter-least-three-points-choose'),
    );
  }
  if (!isCurve(points)) return fail('not-a-curve', ...whyNoCurve(points));
  return ok({
    transfer: { form: 'table', points, ratiometric },
    residualVolts: points.map(() => 0),
    scatterVolts: 0,
    standardUncertaintyVoltsAt: () => 0,
    doubtful: undefined,
    turns: !isMonotone(points),
  });
}

/** What the first and the last step of the range stand for, where a point is a value and its step. */
function sentSteps(
  points: readonly CurvePoint[],
): Result<CurveFit, 'not-two-points' | 'no-step' | 'flat-line'> {
  const [one, other] = points;
  if (!one || !other || points.length > 2 || one.value === other.value) {
    return fail(
      'not-two-points',
      say('transfer.telegrams-need-two-points'),
      say('transfer.enter-both-ends-and-their-steps'),
    );
  }
  const [first, last] = VALUE_STEPS;
  const strange = points.find(({ volts: step }) => !Number.isInteger(step) || step < first || step > last);
  if (strange) {
    return fail(
      'no-step',
      say('transfer.no-step', { step: plain(strange.volts), last }),
      say('transfer.enter-both-ends-and-their-steps'),
    );
  }
  if (one.volts === other.volts) {
    return fail(
      'flat-line',
      say('transfer.one-step-for-two-values'),
      say('transfer.enter-both-ends-and-their-steps'),
    );
  }
  const [low, high] = one.value < other.value ? [one, other] : [other, one];
  return ok({
    transfer: {
      form: 'telegrams',
      low: { step: low.volts, value: low.value },
      high: { step: high.volts, value: high.value },
    },
    residualVolts: [0, 0],
    scatterVolts: 0,
    standardUncertaintyVoltsAt: () => 0,
    doubtful: undefined,
  });
}

/** What frequencies or duties stand for, where a point is a value and its hertz, or its percent of the time. */
function sentPulses(
  points: readonly CurvePoint[],
  form: PulseTransfer['form'],
): Result<CurveFit, 'too-few-points' | 'no-pulses' | 'not-monotone'> {
  const next =
    form === 'duty' ? say('transfer.enter-values-and-percents') : say('transfer.enter-values-and-hertz');
  if (points.length < 2) return fail('too-few-points', say('transfer.pulses-need-two-points'), next);
  const [least, most] = form === 'duty' ? PULSE_PERCENT : PULSE_HERTZ;
  const strange = points.find(({ volts }) => !(volts >= least && volts <= most));
  if (strange) {
    const said = { given: plain(strange.volts), least, most };
    return fail(
      'no-pulses',
      form === 'duty' ? say('transfer.no-duty', said) : say('transfer.no-frequency', said),
      next,
    );
  }
  const transfer: PulseTransfer =
    form === 'duty'
      ? { form, points: points.map(({ volts, value }) => ({ upPercent: volts, value })) }
      : { form, points: points.map(({ volts, value }) => ({ hertz: volts, value })) };
  if (!isPulseCurve(transfer)) {
    return fail('not-monotone', say('transfer.pulses-turn-round'), next);
  }
  return ok({
    transfer,
    residualVolts: points.map(() => 0),
    scatterVolts: 0,
    standardUncertaintyVoltsAt: () => 0,
    doubtful: undefined,
  });
}

function whyNoCurve(points: readonly CurvePoint[]): [message: Message, next: Message] {
  const seen = new Set<number>();
  const twice = points.find(({ value }) => seen.size === seen.add(value).size);
  return twice
    ? [
        say('transfer.value-stands-two-points-one', { value: plain(twice.value) }),
        say('transfer.keep-right-one-two-their'),
      ]
    : [
        say('transfer.all-points-same-v-signal', { volts: plain(points[0]!.volts, 'V') }),
        say('transfer.check-points-dead-sensor-no'),
      ];
}

function straight(
  points: readonly CurvePoint[],
  { ratiometric, referenceVolts }: ShapeChoice,
): Result<CurveFit, 'too-few-points' | 'flat-line'> {
  const line = fitLine(points);
  if (!line.ok) return line;
  const { voltsPerUnit, voltsAtZero, ...fit } = line.value;
  if (Math.abs(voltsPerUnit) < 1e-6) {
    return fail(
      'flat-line',
      say('transfer.volts-do-not-change-value'),
      say('transfer.check-points-dead-sensor-no'),
    );
  }
  const onLine = (value: number): CurvePoint => ({ value, volts: voltsAtZero + voltsPerUnit * value });
  const values = points.map(({ value }) => value);
  const transfer: TransferFunction = ratiometric
    ? {
        form: 'ratiometric',
        sharePerUnit: voltsPerUnit / referenceVolts,
        shareAtZero: voltsAtZero / referenceVolts,
      }
    : {
        form: 'linear',
        low: onLine(values.reduce((a, b) => Math.min(a, b))),
        high: onLine(values.reduce((a, b) => Math.max(a, b))),
      };
  return ok({ transfer, ...fit });
}
