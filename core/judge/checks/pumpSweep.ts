import { say } from '../../measure/message/index.ts';
import { latestWire, type WireReading } from '../../record/evidence/index.ts';
import { isPumpedDown } from '../../machine/family/index.ts';
import { type MachineState } from '../../machine/places/index.ts';
import { expectedReading, type Expectation } from '../expectation/index.ts';
import { fail, type Result } from '../../measure/problem/index.ts';
import { fromKpa, toKpa, type PressureUnit } from '../../measure/quantity/index.ts';
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

/** Deeper than this a hand pump gets slow, and its gauge ends soon (common practice). */
const DEEPEST_VACUUM_KPA = toKpa(25, 'inHg');
/** More is hard work on a hand pump, and near what its hose stands (common practice). */
const MOST_PUMPED_UP_KPA = 200;

/** What is pumped: its family says which way. */
export type Pumped = Pick<CaseFile, 'family' | 'profile'>;

/**
 * Pump settings in even steps of a round number in the reader's unit, from ambient to the end of what the sensor and
 * a hand pump can do: down for an absolute sensor, up for the others and for boost. kPa above ambient, minus for vacuum.
 */
export function pumpSteps(
  { family, profile: { measures, lowest, highest } }: Pumped,
  ambientKpaAbs: number,
  unit: PressureUnit,
  points: number,
): number[] {
  const down = isPumpedDown(family, measures);
  const farthestKpa = down
    ? Math.min(DEEPEST_VACUUM_KPA, ambientKpaAbs - lowest)
    : measures === 'absolute-pressure'
      ? Math.min(MOST_PUMPED_UP_KPA, highest - ambientKpaAbs)
      : highest;
  if (!(farthestKpa > 0)) return [];
  const step = toKpa(roundStep(fromKpa(farthestKpa, unit) / (points - 1)), unit);
  const count = Math.min(points, Math.floor(farthestKpa / step + 1e-9) + 1);
  const steps = Array.from({ length: count }, (_, i) => (down ? -i * step : i * step));
  return down ? steps.filter((kpa) => ambientKpaAbs + kpa <= highest) : steps;
}

/** Nobody pumps to 16.9 kPa: the largest round number that is at most a little more than the step asked for. */
function roundStep(step: number): number {
  const most = step * 1.25 + 1e-9;
  const size = 10 ** Math.floor(Math.log10(most));
  return ([5, 2.5, 2, 1].find((nice) => nice * size <= most) ?? 1) * size;
}

/** Two settings this near are the same needle on the same mark. */
const SAME_SETTING_KPA = 0.01;

/** The steps asked for, and beside them every setting that is on record: a change of unit or count hides no reading. */
export function pumpSettings({ readings }: Pick<CaseFile, 'readings'>, steps: readonly number[]): number[] {
  const settings = [...steps];
  for (const { state } of readings) {
    if (state.stimulus?.kind !== 'pump') continue;
    const { kpaAboveAmbient } = state.stimulus;
    if (!settings.some((kpa) => Math.abs(kpa - kpaAboveAmbient) < SAME_SETTING_KPA)) {
      settings.push(kpaAboveAmbient);
    }
  }
  return settings.sort((a, b) => Math.abs(a) - Math.abs(b));
}

/** The machine with the pump at a setting, in kPa above ambient, below it with a minus. */
export const pumpState = (kpaAboveAmbient: number): MachineState => ({
  engine: 'koeo',
  plug: 'connected',
  // Steps are compared by value: rounded, so that the same step is the same number wherever it is worked out.
  stimulus: { kind: 'pump', kpaAboveAmbient: Math.round(kpaAboveAmbient * 1e6) / 1e6 },
});

export interface PumpPoint {
  kpaAboveAmbient: number;
  expected: Expectation | undefined;
  reading: WireReading | undefined;
  /** Sensor less pump, in the measurand's unit and basis; or why there is none. */
  judged:
    | Result<
        Comparison & { matters: boolean },
        'reference-missing' | 'not-a-number' | 'circuit-low' | 'circuit-high'
      >
    | undefined;
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
