import { pchip } from './pchip.ts';
import type { CurvePoint } from './sensorProfile.ts';
import { solveMonotone } from './solveMonotone.ts';

/** All values that one voltage can mean. */
export interface ValueStretch {
  lowest: number;
  highest: number;
}

/**
 * A curve whose volts stand still over a stretch of values, or turn round: a saturated end, a dead band, a flow meter in
 * reverse flow. Every value has one voltage; the way back is a stretch of values.
 */
export interface TurningCurve {
  voltsAt(value: number): number;
  /** Of any voltage within so much of this one, since no meter reads it exactly. */
  valuesAt(volts: number, withinVolts?: number): ValueStretch;
}

/** @param given at least two, no value twice, in any order */
export function turningCurve(given: readonly CurvePoint[]): TurningCurve {
  const points = [...given].sort((a, b) => a.value - b.value);
  const cubic = pchip(
    points.map(({ value }) => value),
    points.map(({ volts }) => volts),
  );
  const first = points[0]!;
  const last = points.at(-1)!;
  /** Where the end slope meets the voltage, outside the points; nowhere on a flat end. */
  const past = ({ value, volts: end }: CurvePoint, volts: number, outward: 1 | -1): number[] => {
    const slope = cubic.slopeAt(value);
    const at = value + (volts - end) / slope;
    return slope !== 0 && Math.sign(at - value) === outward ? [at] : [];
  };
  return {
    voltsAt: cubic.at,
    valuesAt(volts, withinVolts = 0) {
      const found = points
        .filter((point) => Math.abs(point.volts - volts) <= withinVolts)
        .map(({ value }) => value);
      for (const edge of withinVolts > 0 ? [volts - withinVolts, volts, volts + withinVolts] : [volts])
        found.push(...crossings(edge));
      // No value has this voltage, on a curve whose ends are flat: the nearest points stand for it.
      if (found.length === 0) found.push(...nearest(volts));
      return {
        lowest: found.reduce((a, b) => Math.min(a, b)),
        highest: found.reduce((a, b) => Math.max(a, b)),
      };
    },
  };

  function crossings(volts: number): number[] {
    const found = [...past(first, volts, -1), ...past(last, volts, 1)];
    for (let i = 1; i < points.length; i++) {
      const [from, to] = [points[i - 1]!, points[i]!];
      if ((from.volts - volts) * (to.volts - volts) >= 0) continue;
      const rising = to.volts > from.volts;
      found.push(solveMonotone(cubic.at, volts, { from: from.value, to: to.value, rising }));
    }
    return found;
  }

  function nearest(volts: number): number[] {
    const distances = points.map((point) => Math.abs(point.volts - volts));
    const least = distances.reduce((a, b) => Math.min(a, b));
    return points.filter((_, i) => distances[i]! <= least + 1e-12).map(({ value }) => value);
  }
}
