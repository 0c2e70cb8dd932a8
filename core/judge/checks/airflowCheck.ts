import { say } from '../../measure/message/index.ts';
import {
  expectedAirflowGramsPerSecond,
  idleExtremesGramsPerSecond,
  idleRuleGramsPerSecond,
  type AirflowInputs,
} from '../../measure/airflow/index.ts';
import type { EngineState } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import {
  compareValues,
  fromLimits,
  measuredValue,
  type Comparison,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { NoValue } from '../../measure/transfer/index.ts';
import { fitOf, type Fit } from '../expectation/index.ts';
import type { CaseFile } from './caseFile.ts';
import { sensorValue } from './sensorValue.ts';

/** What is hardly ever known better than this at a kerbside (common practice). */
const VOLUMETRIC_EFFICIENCY_DOUBT = 0.1;
const AIR_KELVIN_DOUBT = 10;
const MANIFOLD_KPA_DOUBT = 3;

/** The flow that speed, pressure and temperature call for, with the doubt of what was put in. */
export function speedDensityFlow(given: AirflowInputs): MeasuredValue {
  const flow = expectedAirflowGramsPerSecond(given);
  return measuredValue(flow, [
    {
      source: say('doubt.volumetric-efficiency-0-1'),
      standardUncertainty: (flow / given.volumetricEfficiency) * fromLimits(VOLUMETRIC_EFFICIENCY_DOUBT),
    },
    {
      source: say('doubt.manifold-pressure-3-kpa'),
      standardUncertainty: (flow / given.pressureKpaAbs) * fromLimits(MANIFOLD_KPA_DOUBT),
    },
    {
      source: say('doubt.air-temperature-10-k'),
      standardUncertainty: (flow / given.temperatureKelvin) * fromLimits(AIR_KELVIN_DOUBT),
    },
  ]);
}

type NoFlow = 'no-signal-reading' | NoValue | 'not-a-flow-meter';

/** The flow meter's own value at idle beside the litres rule, which is a rule of thumb and no limit. */
export function flowByRule(
  caseFile: CaseFile,
  displacementLitres: number,
): Result<{ own: MeasuredValue; lowest: number; highest: number; fit: Fit }, NoFlow> {
  const own = ownFlow(caseFile, 'idle');
  if (!own.ok) return own;
  const rule = idleRuleGramsPerSecond(displacementLitres);
  const extremes = idleExtremesGramsPerSecond(displacementLitres);
  const { value, expandedUncertainty } = own.value;
  const band = { ...rule, atMost: [extremes.lowest, extremes.highest] as const };
  return ok({ own: own.value, ...rule, fit: fitOf(value, band, expandedUncertainty) });
}

/** The flow meter's own value in an engine state against what it should be. */
export function flowAgainst(
  caseFile: CaseFile,
  engine: EngineState,
  should: MeasuredValue,
): Result<Comparison & { own: MeasuredValue }, NoFlow> {
  const own = ownFlow(caseFile, engine);
  if (!own.ok) return own;
  const comparison = compareValues(own.value, should, caseFile.profile.differenceThatMatters);
  return ok({ ...comparison, own: own.value });
}

function ownFlow(caseFile: CaseFile, engine: EngineState): Result<MeasuredValue, NoFlow> {
  if (caseFile.profile.measures !== 'air-flow') {
    return fail(
      'not-a-flow-meter',
      say('doubt.sensor-reports-no-air-flow'),
      say('doubt.compare-gauge-instead'),
    );
  }
  const sensor = sensorValue(caseFile, { engine });
  if (!sensor.ok) return sensor;
  return ok(sensor.value.own);
}
