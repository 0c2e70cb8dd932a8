import { pressure, say } from '../../measure/message/index.ts';
import { latest, latestWire, type GaugeReading } from '../../record/evidence/index.ts';
import { running, type GaugeTap } from '../../machine/places/index.ts';
import { familyOf, HEALTHY_IDLE_KPA_ABS, isVacuumGauged } from '../../machine/family/index.ts';
import { problemSaid } from '../../measure/problem/index.ts';
import { boundSaid, compareValues, type MeasuredValue } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { finding, type Finding, type Remark } from './finding.ts';
import { gaugeAgainstSensor } from './gaugePressure.ts';
import { valueOfSignal } from './sensorValue.ts';
import { signalAtRail } from './signalAtRail.ts';

/** What gauges say of the engine and of the hose; a remark where a gauge cannot be read without ambient. */
export function gaugeFindings(caseFile: CaseFile): { findings: Finding[]; remarks: Remark[] } {
  const findings: Finding[] = [];
  const remarks: Remark[] = [];
  for (const tap of familyOf(caseFile.family).gaugeTaps ?? []) {
    const reading = gaugeAt(caseFile, tap);
    if (!reading) continue;
    const gauge = gaugeAgainstSensor(reading, caseFile.profile.measures, caseFile.ambient, caseFile.gauge);
    if (!gauge.ok) {
      remarks.push({ sentence: problemSaid(gauge.problem), readingIds: [reading.id] });
      continue;
    }
    if (isVacuumGauged(caseFile.family) && reading.state.engine === 'idle')
      findings.push(vacuumFinding(tap, reading, gauge.value));
    const comparison = sensorAgainst(caseFile, tap, reading, gauge.value);
    if (comparison) ('code' in comparison ? findings : remarks).push(comparison);
  }
  return { findings, remarks };
}

const gaugeAt = (caseFile: CaseFile, tap: GaugeTap): GaugeReading | undefined =>
  latest(
    caseFile.readings,
    (reading): reading is GaugeReading =>
      reading.kind === 'gauge' && reading.tap === tap && running(reading.state) && !reading.state.stimulus,
  );

function vacuumFinding(tap: GaugeTap, reading: GaugeReading, gauge: MeasuredValue): Finding {
  const low = gauge.value - gauge.expandedUncertainty > HEALTHY_IDLE_KPA_ABS.highest;
  const shown = pressure(gauge.value);
  const limit = pressure(HEALTHY_IDLE_KPA_ABS.highest);
  return finding(
    `vacuum-at-${tap === 'manifold' ? 'manifold' : 'hose'}=${low ? 'low' : 'healthy'}`,
    low
      ? say('checks.gauge-engine-idles-absolute-above', { shown, limit })
      : say('checks.gauge-engine-idles-absolute-healthy', { shown }),
    [reading.id],
  );
}

function sensorAgainst(
  caseFile: CaseFile,
  tap: GaugeTap,
  reading: GaugeReading,
  gauge: MeasuredValue,
): Finding | Remark | undefined {
  const signal = latestWire(
    caseFile.readings,
    'signal',
    'plug',
    (state) => state.plug === 'connected' && state.engine === reading.state.engine && !state.stimulus,
  );
  if (!signal || signalAtRail(signal, caseFile)) return undefined;
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return undefined;
  const { own, asSeen, assumed } = sensor.value;
  const matters = caseFile.profile.differenceThatMatters;
  const readingIds = [...sensor.value.readingIds, reading.id];
  const both = { sensor: boundSaid(own.bound, pressure(own.value)), gauge: pressure(gauge.value) };
  const pair =
    caseFile.profile.measures === 'absolute-pressure'
      ? say('checks.sensor-gauge-absolute', both)
      : say('checks.sensor-gauge-above-ambient', both);
  const comparison = compareValues(own, gauge, matters);
  if (comparison.outcome === 'cannot-tell') {
    return {
      sentence: say('checks.these-instruments-cannot-tell-limited', {
        pair,
        limitedBy: comparison.limitedBy,
      }),
      readingIds,
    };
  }
  const check = `sensor-vs-gauge-${tap === 'sensor-hose' ? 'hose' : tap}` as const;
  if (comparison.outcome === 'disagree' && Math.abs(comparison.difference) > matters) {
    const perhaps = assumed.includes('return');
    return finding(
      `${check}=${perhaps ? 'disagree-perhaps-by-return' : 'disagree'}`,
      say('checks.sensor-gauge-disagree', { pair, perhaps }),
      readingIds,
    );
  }
  if (Math.abs(compareValues(asSeen, gauge, matters).difference) > matters) {
    const sentence = say('checks.against-own-return-sensor-agrees', { pair });
    return finding(`${check}=disagree-by-return`, sentence, readingIds);
  }
  return finding(`${check}=agree`, say('checks.sensor-gauge-agree', { pair }), readingIds);
}
