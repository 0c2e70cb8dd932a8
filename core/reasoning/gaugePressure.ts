import type { GaugeReading } from '../evidence/index.ts';
import type { Result } from '../problem/index.ts';
import { ok } from '../problem/index.ts';
import { toKpaAbs, type Ambient } from '../quantity/index.ts';
import {
  gaugeTerms,
  measuredPressure,
  type GaugeAccuracy,
  type MeasuredPressure,
} from '../uncertainty/index.ts';

/** A gauge reading as absolute pressure; the doubt of the ambient comes in with every basis but absolute. */
export function gaugePressure(
  reading: Pick<GaugeReading, 'pressureKpa' | 'basis'>,
  ambient: Ambient,
  gauge: GaugeAccuracy,
): Result<MeasuredPressure, 'below-absolute-zero'> {
  const kpaAbs = toKpaAbs(reading, ambient.pressureKpaAbs);
  if (!kpaAbs.ok) return kpaAbs;
  const terms = gaugeTerms(gauge);
  if (reading.basis !== 'absolute') {
    terms.push({ source: 'ambient pressure', standardUncertaintyKpa: ambient.expandedUncertaintyKpa / 2 });
  }
  return ok(measuredPressure(kpaAbs.value, terms));
}

export const ambientPressure = (ambient: Ambient): MeasuredPressure =>
  measuredPressure(ambient.pressureKpaAbs, [
    { source: 'ambient pressure', standardUncertaintyKpa: ambient.expandedUncertaintyKpa / 2 },
  ]);
