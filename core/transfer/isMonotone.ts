import type { LinePoint } from './sensorProfile.ts';

/** Whether pressure rises, or falls, with every step of volts: only then does a voltage mean one pressure. */
export function isMonotone(points: readonly LinePoint[]): boolean {
  const sorted = [...points].sort((a, b) => a.volts - b.volts);
  const steps = sorted.slice(1).map((point, i) => ({
    volts: point.volts - (sorted[i] as LinePoint).volts,
    kpa: point.kpaAbs - (sorted[i] as LinePoint).kpaAbs,
  }));
  const direction = Math.sign(steps[0]?.kpa ?? 0);
  return direction !== 0 && steps.every(({ volts, kpa }) => volts > 0 && Math.sign(kpa) === direction);
}
