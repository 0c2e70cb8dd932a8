import { say } from '../../measure/message/index.ts';
import { latestWire, type WireReading } from '../../record/evidence/index.ts';
import { isSent, type NoValue } from '../../measure/transfer/index.ts';
import { expectedReading, type Expectation } from '../expectation/index.ts';
import { fail, type Result } from '../../measure/problem/index.ts';
import {
  compareValues,
  gaugeTerms,
  measuredValue,
  type Comparison,
  type GaugeAccuracy,
  type Instrument,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
import { ambientPressure } from './gaugePressure.ts';
import { railSaid, signalAtRail } from './signalAtRail.ts';
import { valueOfSignal } from './sensorValue.ts';
import { pumpState, SAME_SETTING_KPA, pumpSettings } from './pumpSweep.ts';

export interface PumpPoint {
  kpaAboveAmbient: number;
  expected: Expectation | undefined;
  reading: WireReading | undefined;
  /** Sensor less pump, in the measurand's unit and basis; or why there is none. */
  judged: Result<Comparison & { matters: boolean }, NoValue | 'circuit-low' | 'circuit-high'> | undefined;
}

/** Whether a step disagrees with the pump by as much as matters. */
export const isPumpStepOff = ({ judged }: Pick<PumpPoint, 'judged'>): boolean =>
  judged?.ok === true && judged.value.outcome === 'disagree' && judged.value.matters;

/** Off, or on a rail or without its supply: no step that the curve is to be believed by. */
export const isPumpStepDoubtful = (point: Pick<PumpPoint, 'judged'>): boolean =>
  isPumpStepOff(point) || point.judged?.ok === false;

/**
 * One step of a pump table: what the signal should be, what it was, and whether that agrees with the pump's gauge.
 *
 * @param pump taken where the reading does not say what showed the pressure
 */
export function pumpPoint(
  caseFile: CaseFile,
  kpaAboveAmbient: number,
  pump: Instrument<GaugeAccuracy>,
): PumpPoint {
  const state = pumpState(kpaAboveAmbient);
  const target = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  const expected = expectedReading(target, state, expectationContext(caseFile));
  const reading = latestWire(
    caseFile.readings,
    'signal',
    'plug',
    ({ plug, stimulus }) =>
      plug === 'connected' &&
      stimulus?.kind === 'pump' &&
      Math.abs(stimulus.kpaAboveAmbient - kpaAboveAmbient) < SAME_SETTING_KPA,
  );
  return {
    kpaAboveAmbient,
    expected,
    reading,
    judged: reading && judge(caseFile, reading, kpaAboveAmbient, gaugeOf(reading) ?? pump),
  };
}

/** A step that is on record. */
export type ReadPumpPoint = PumpPoint & { reading: WireReading };

/** The steps that were read, nearest to ambient first. */
export const readPumpSteps = (caseFile: CaseFile, pump: Instrument<GaugeAccuracy>): ReadPumpPoint[] =>
  pumpSettings(caseFile, []).flatMap((kpa) => {
    const point = pumpPoint(caseFile, kpa, pump);
    return point.reading ? [{ ...point, reading: point.reading }] : [];
  });

const gaugeOf = ({ state: { stimulus } }: WireReading): Instrument<GaugeAccuracy> | undefined =>
  stimulus?.kind === 'pump' ? stimulus.gauge : undefined;

function judge(
  caseFile: CaseFile,
  reading: WireReading,
  kpaAboveAmbient: number,
  pump: Instrument<GaugeAccuracy>,
): PumpPoint['judged'] {
  const { profile, ambient } = caseFile;
  const rail = signalAtRail(reading, caseFile);
  if (rail)
    return fail(`circuit-${rail}`, railSaid(reading, caseFile), say('checks.follow-signal-wire-first'));
  // What is sent no voltage tells: there is nothing to set beside the pump.
  if (isSent(profile)) return undefined;
  const sensor = valueOfSignal(caseFile, reading);
  if (!sensor.ok) return sensor;
  const absolute = profile.measures === 'absolute-pressure';
  if (absolute && !ambient) return undefined;
  // At ambient the pump is off, and its gauge has no say.
  const gauge = kpaAboveAmbient === 0 ? [] : gaugeTerms(pump);
  const set = measuredValue(
    (absolute && ambient ? ambient.pressureKpaAbs : 0) + kpaAboveAmbient,
    absolute && ambient ? [...gauge, ...ambientPressure(ambient).terms] : gauge,
  );
  const comparison = compareValues(sensor.value.own, set, profile.differenceThatMatters);
  const matters = Math.abs(comparison.difference) > profile.differenceThatMatters;
  return { ok: true, value: { ...comparison, matters } };
}
