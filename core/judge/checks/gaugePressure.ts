import { say } from '../../measure/message/index.ts';
import type { GaugeReading } from '../../record/evidence/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { fromKpaAbs, toKpaAbs, type Ambient, type Measurand } from '../../measure/quantity/index.ts';
import {
  gaugeTerms,
  measuredValue,
  type GaugeAccuracy,
  type Instrument,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';

export const AMBIENT_PRESSURE = say('checks.ambient-pressure');
const ambientTerm = ({ expandedUncertaintyKpa }: Ambient) => ({
  source: AMBIENT_PRESSURE,
  standardUncertainty: expandedUncertaintyKpa / 2,
});

/**
 * A gauge reading in the basis that the sensor reports. The doubt of the ambient comes in only where the two bases
 * differ: a gauge beside a gauge-pressure sensor needs no barometer.
 */
export function gaugeAgainstSensor(
  reading: Pick<GaugeReading, 'pressureKpa' | 'basis' | 'gauge'>,
  measures: Measurand,
  ambient: Ambient | undefined,
  commonGauge: Instrument<GaugeAccuracy>,
): Result<MeasuredValue, 'below-absolute-zero' | 'needs-ambient'> {
  const terms = gaugeTerms(reading.gauge ?? commonGauge);
  const wantsAbsolute = measures === 'absolute-pressure';
  const isAbsolute = reading.basis === 'absolute';
  if (wantsAbsolute === isAbsolute) {
    const sign = reading.basis === 'vacuum' ? -1 : 1;
    return ok(measuredValue(sign * reading.pressureKpa, terms));
  }
  if (!ambient) {
    return fail(
      'needs-ambient',
      say('checks.gauge-cannot-set-beside-sensor'),
      say('checks.give-ambient-pressure'),
    );
  }
  const kpaAbs = toKpaAbs(reading, ambient.pressureKpaAbs);
  if (!kpaAbs.ok) return kpaAbs;
  const value = wantsAbsolute ? kpaAbs.value : fromKpaAbs(kpaAbs.value, 'gauge', ambient.pressureKpaAbs);
  return ok(measuredValue(value, [...terms, ambientTerm(ambient)]));
}

/** Ambient in kPa absolute, with its doubt as one term of a budget. */
export const ambientPressure = (ambient: Ambient): MeasuredValue =>
  measuredValue(ambient.pressureKpaAbs, [ambientTerm(ambient)]);
