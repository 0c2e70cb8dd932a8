import type { CurvePoint } from './sensorProfile.ts';

/** Whether the value rises, or falls, with every step of volts: only then does a voltage mean one value. */
export function isMonotone(points: readonly CurvePoint[]): boolean {
  const sorted = [...points].sort((a, b) => a.volts - b.volts);
  const steps = sorted.slice(1).map((point, i) => ({
    volts: point.volts - (sorted[i] as CurvePoint).volts,
    value: point.value - (sorted[i] as CurvePoint).value,
  }));
  const direction = Math.sign(steps[0]?.value ?? 0);
  return direction !== 0 && steps.every(({ volts, value }) => volts > 0 && Math.sign(value) === direction);
}

/** Whether points can be a curve at all: every value has one voltage, and the volts are not the same everywhere. */
export function isCurve(points: readonly CurvePoint[]): boolean {
  const values = new Set(points.map(({ value }) => value));
  const volts = new Set(points.map((point) => point.volts));
  return values.size === points.length && volts.size > 1;
}
