import { say } from '../../measure/message/index.ts';
import { latestWire, type PulsesReading, type WireReading } from '../../record/evidence/index.ts';
import { isSent, type NoValue } from '../../measure/transfer/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import {
  expectedPulses,
  expectedReading,
  type ExpectedPulses,
  type Expectation,
} from '../expectation/index.ts';
import { fail, type Result } from '../../measure/problem/index.ts';
import {
  compareValues,
  gaugeTerms,
  measuredValue,
  type Comparison,
  type MeasuredValue,
  type GaugeAccuracy,
  type Instrument,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
import { countedAtPlug, countedValue } from './countedValue.ts';
import { ambientPressure } from './gaugePressure.ts';
import { railSaid, signalAtRail } from './signalAtRail.ts';
import { valueOfSignal } from './sensorValue.ts';
import { pumpState, SAME_SETTING_KPA, pumpSettings } from './pumpSweep.ts';

export interface PumpPoint {
  kpaAboveAmbient: number;
  expected: Expectation | undefined;
  /** Of a sensor that sends pulses, instead of volts: an average tells nothing of the pump. */
  counts: ExpectedPulses | undefined;
  reading: WireReading | PulsesReading | undefined;
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
  const context = expectationContext(caseFile);
  const isThere = ({ plug, stimulus }: MachineState) =>
    plug === 'connected' &&
    stimulus?.kind === 'pump' &&
    Math.abs(stimulus.kpaAboveAmbient - kpaAboveAmbient) < SAME_SETTING_KPA;
  const counted = countedAtPlug(caseFile, isThere);
  const reading = counted ?? latestWire(caseFile.readings, 'signal', 'plug', isThere);
  const counts = expectedPulses(state, context);
  return {
    kpaAboveAmbient,
    expected: counts ? undefined : expectedReading(target, state, context),
    counts,
    reading,
    judged: reading && judge(caseFile, reading, kpaAboveAmbient, gaugeOf(reading) ?? pump),
  };
}

/** A step that is on record. */
export type ReadPumpPoint = PumpPoint & { reading: NonNullable<PumpPoint['reading']> };

/** The steps that were read, nearest to ambient first. */
export const readPumpSteps = (caseFile: CaseFile, pump: Instrument<GaugeAccuracy>): ReadPumpPoint[] =>
  pumpSettings(caseFile, []).flatMap((kpa) => {
    const point = pumpPoint(caseFile, kpa, pump);
    return point.reading ? [{ ...point, reading: point.reading }] : [];
  });

const gaugeOf = ({
  state: { stimulus },
}: Pick<WireReading, 'state'>): Instrument<GaugeAccuracy> | undefined =>
  stimulus?.kind === 'pump' ? stimulus.gauge : undefined;

function judge(
  caseFile: CaseFile,
  reading: WireReading | PulsesReading,
  kpaAboveAmbient: number,
  pump: Instrument<GaugeAccuracy>,
): PumpPoint['judged'] {
  if (reading.kind !== 'wire') {
    const counted = countedValue(caseFile, reading);
    return counted && againstPump(caseFile, counted, kpaAboveAmbient, pump);
  }
  const { profile } = caseFile;
  const rail = signalAtRail(reading, caseFile);
  if (rail)
    return fail(`circuit-${rail}`, railSaid(reading, caseFile), say('checks.follow-signal-wire-first'));
  // What is sent no voltage tells: there is nothing to set beside the pump.
  if (isSent(profile)) return undefined;
  const sensor = valueOfSignal(caseFile, reading);
  if (!sensor.ok) return sensor;
  return againstPump(caseFile, sensor.value.own, kpaAboveAmbient, pump);
}

function againstPump(
  { profile, ambient }: CaseFile,
  own: MeasuredValue,
  kpaAboveAmbient: number,
  pump: Instrument<GaugeAccuracy>,
): PumpPoint['judged'] {
  const absolute = profile.measures === 'absolute-pressure';
  if (absolute && !ambient) return undefined;
  // At ambient the pump is off, and its gauge has no say.
  const gauge = kpaAboveAmbient === 0 ? [] : gaugeTerms(pump);
  const set = measuredValue(
    (absolute && ambient ? ambient.pressureKpaAbs : 0) + kpaAboveAmbient,
    absolute && ambient ? [...gauge, ...ambientPressure(ambient).terms] : gauge,
  );
  const comparison = compareValues(own, set, profile.differenceThatMatters);
  const matters = Math.abs(comparison.difference) > profile.differenceThatMatters;
  return { ok: true, value: { ...comparison, matters } };
}
