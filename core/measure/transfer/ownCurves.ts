import { derivative, polynomialAt } from './polynomial.ts';
import { isMonotone } from './isMonotone.ts';
import { pchip } from './pchip.ts';
import type { HotElementTransfer, PolynomialTransfer, TableTransfer } from './sensorProfile.ts';
import { solveMonotone } from './solveMonotone.ts';
import { turningCurve, type ValueStretch } from './turningCurve.ts';

/** A transfer function at one supply: signal volts against the sensor's own return, value in the measurand's unit. */
export interface Curve {
  valueAt(signalVolts: number): number;
  voltsAt(value: number): number;
  valuePerVoltAt(signalVolts: number): number;
  /** Volts of signal per volt of supply at this signal; zero where the output ignores the supply. */
  shareOfSupplyAt(signalVolts: number): number;
  /** Where one voltage can mean several values: all of them, for any voltage within so much of this one. */
  valuesAt?: ((signalVolts: number, withinVolts: number) => ValueStretch) | undefined;
}

export type OwnCurve = Omit<Curve, 'shareOfSupplyAt'>;

/** Building the cubic costs more than asking it, and a curve is asked thousands of times. */
export const built = new WeakMap<TableTransfer | PolynomialTransfer, OwnCurve>();

/** Over this much a curve that turns is said to slope: at the turn itself it has no slope to divide by. */
const SECANT_VOLTS = 0.01;

function turning(table: TableTransfer): OwnCurve {
  const { voltsAt, valuesAt } = turningCurve(table.points);
  const valueAt = (volts: number): number => {
    const { lowest, highest } = valuesAt(volts);
    return (lowest + highest) / 2;
  };
  return {
    valueAt,
    voltsAt,
    valuesAt,
    valuePerVoltAt: (volts) =>
      (valueAt(volts + SECANT_VOLTS) - valueAt(volts - SECANT_VOLTS)) / (2 * SECANT_VOLTS),
  };
}

/** Through the points of a table: monotone between them where they are, by straight lines where they turn. */
export function tableCurve(table: TableTransfer): OwnCurve {
  if (!isMonotone(table.points)) return turning(table);
  const points = [...table.points].sort((a, b) => a.volts - b.volts);
  const cubic = pchip(
    points.map(({ volts }) => volts),
    points.map(({ value }) => value),
  );
  const ends = { fromVolts: points[0]!.volts, toVolts: points.at(-1)!.volts };
  return {
    valueAt: cubic.at,
    valuePerVoltAt: cubic.slopeAt,
    voltsAt: inverse(cubic.at, cubic.slopeAt, ends),
  };
}

/** A polynomial in volts; past its range the slope of its end goes on. */
export function polynomialCurve({ coefficients, fromVolts, toVolts }: PolynomialTransfer): OwnCurve {
  const slope = derivative(coefficients);
  const within = (volts: number): number => Math.min(Math.max(volts, fromVolts), toVolts);
  const valuePerVoltAt = (volts: number): number => polynomialAt(slope, within(volts));
  const valueAt = (volts: number): number => {
    const near = within(volts);
    return polynomialAt(coefficients, near) + (volts - near) * polynomialAt(slope, near);
  };
  return { valueAt, valuePerVoltAt, voltsAt: inverse(valueAt, valuePerVoltAt, { fromVolts, toVolts }) };
}

/** Past the ends the end slope goes on; an end without slope answers the end itself, never an infinity. */
function inverse(
  at: (volts: number) => number,
  slopeAt: (volts: number) => number,
  { fromVolts, toVolts }: { fromVolts: number; toVolts: number },
): (value: number) => number {
  const ends = [fromVolts, toVolts].map((volts) => ({ volts, value: at(volts), slope: slopeAt(volts) }));
  const [first, last] = ends as [(typeof ends)[0], (typeof ends)[0]];
  const rising = last.value > first.value;
  const past = (end: typeof first, value: number): number =>
    end.slope === 0 ? end.volts : end.volts + (value - end.value) / end.slope;
  return (value) => {
    if (value <= first.value === rising) return past(first, value);
    if (value >= last.value === rising) return past(last, value);
    return solveMonotone(at, value, { from: fromVolts, to: toVolts, rising });
  };
}

/** Below the volts of still air the law is mirrored, so that a dead signal reads as less than no flow. */
export function hotElement({ a, b, n }: HotElementTransfer): OwnCurve {
  return {
    valueAt(volts) {
      const driven = (volts * Math.abs(volts) - a) / b;
      return Math.sign(driven) * Math.abs(driven) ** (1 / n);
    },
    voltsAt(flow) {
      const squared = a + b * Math.sign(flow) * Math.abs(flow) ** n;
      return Math.sign(squared) * Math.sqrt(Math.abs(squared));
    },
    valuePerVoltAt(volts) {
      const driven = Math.abs(volts * Math.abs(volts) - a) / b;
      return ((2 * Math.abs(volts)) / (b * n)) * driven ** (1 / n - 1);
    },
  };
}
