import {
  GAUGE_TAPS,
  latest,
  latestWire,
  running,
  type GaugeReading,
  type GaugeTap,
} from '../evidence/index.ts';
import { HEALTHY_IDLE_KPA_ABS } from '../expectation/index.ts';
import { formatPressure } from '../quantity/index.ts';
import { comparePressures, type MeasuredPressure } from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { finding, type Finding, type Remark } from './finding.ts';
import { gaugePressure } from './gaugePressure.ts';
import { pressureOfSignal } from './sensorPressure.ts';
import { signalAtRail } from './signalFindings.ts';

export function gaugeFindings(caseFile: CaseFile): { findings: Finding[]; remarks: Remark[] } {
  const findings: Finding[] = [];
  const remarks: Remark[] = [];
  for (const tap of GAUGE_TAPS) {
    const reading = gaugeAt(caseFile, tap);
    if (!reading) continue;
    if (!caseFile.ambient) {
      remarks.push({
        sentence: 'The gauge cannot be set beside the sensor before the ambient pressure is known.',
        readingIds: [reading.id],
      });
      continue;
    }
    const gauge = gaugePressure(reading, caseFile.ambient, caseFile.gauge);
    if (!gauge.ok) {
      remarks.push({ sentence: `${gauge.problem.message} ${gauge.problem.next}`, readingIds: [reading.id] });
      continue;
    }
    if (reading.state.engine === 'idle') findings.push(vacuumFinding(caseFile, tap, reading, gauge.value));
    const comparison = sensorAgainst(caseFile, tap, reading, gauge.value);
    if (comparison) ('check' in comparison ? findings : remarks).push(comparison);
  }
  return { findings, remarks };
}

const gaugeAt = (caseFile: CaseFile, tap: GaugeTap): GaugeReading | undefined =>
  latest(
    caseFile.readings,
    (reading): reading is GaugeReading =>
      reading.kind === 'gauge' && reading.tap === tap && running(reading.state),
  );

function vacuumFinding(
  caseFile: CaseFile,
  tap: GaugeTap,
  reading: GaugeReading,
  gauge: MeasuredPressure,
): Finding {
  const low = gauge.pressureKpaAbs - gauge.expandedUncertaintyKpa > HEALTHY_IDLE_KPA_ABS.highest;
  const shown = formatPressure(gauge.pressureKpaAbs, caseFile.pressureUnit);
  const limit = formatPressure(HEALTHY_IDLE_KPA_ABS.highest, caseFile.pressureUnit);
  return finding(
    tap === 'manifold' ? 'vacuum-at-manifold' : 'vacuum-at-hose',
    [low ? 'low' : 'healthy'],
    low
      ? `By the gauge the engine idles at ${shown} absolute, above the usual ${limit}: vacuum is low.`
      : `By the gauge the engine idles at ${shown} absolute: a healthy vacuum.`,
    [reading.id],
  );
}

function sensorAgainst(
  caseFile: CaseFile,
  tap: GaugeTap,
  reading: GaugeReading,
  gauge: MeasuredPressure,
): Finding | Remark | undefined {
  const signal = latestWire(
    caseFile.readings,
    'signal',
    'plug',
    (state) => state.plug === 'connected' && state.engine === reading.state.engine,
  );
  if (!signal || signalAtRail(signal, caseFile)) return undefined;
  const sensor = pressureOfSignal(caseFile, signal);
  if (!sensor.ok) return undefined;
  const { own, asSeen, assumed } = sensor.value;
  const matters = caseFile.profile.differenceThatMattersKpa;
  const readingIds = [...sensor.value.readingIds, reading.id];
  const show = (kpa: number) => formatPressure(kpa, caseFile.pressureUnit);
  const pair = `sensor ${show(own.pressureKpaAbs)}, gauge ${show(gauge.pressureKpaAbs)} absolute`;
  const comparison = comparePressures(own, gauge, matters);
  if (comparison.outcome === 'cannot-tell') {
    return {
      sentence: `These instruments cannot tell (${pair}): limited by ${comparison.limitedBy}.`,
      readingIds,
    };
  }
  const check = tap === 'manifold' ? 'sensor-vs-gauge-manifold' : 'sensor-vs-gauge-hose';
  if (comparison.outcome === 'disagree' && Math.abs(comparison.differenceKpa) > matters) {
    return assumed.includes('return')
      ? finding(check, ['disagree', 'disagree-by-return'], `Sensor and gauge disagree: ${pair}.`, readingIds)
      : finding(check, ['disagree'], `Sensor and gauge disagree: ${pair}.`, readingIds);
  }
  if (Math.abs(comparePressures(asSeen, gauge, matters).differenceKpa) > matters) {
    const sentence = `Against its own return the sensor agrees with the gauge (${pair}): the return shifts it.`;
    return finding(check, ['disagree-by-return'], sentence, readingIds);
  }
  return finding(check, ['agree'], `Sensor and gauge agree: ${pair}.`, readingIds);
}
