import { latest, type EngineState, type GaugeReading, type ScanReading } from '../evidence/index.ts';
import {
  comparePressures,
  fromResolution,
  measuredPressure,
  SCAN_STEP_KPA,
  type Comparison,
  type MeasuredPressure,
} from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { ambientPressure, gaugePressure } from './gaugePressure.ts';
import { sensorPressure } from './sensorPressure.ts';

export type SourceName =
  | 'sensor'
  | 'signal as the unit sees it'
  | 'gauge at the sensor hose'
  | 'gauge at the manifold'
  | 'live data'
  | 'ambient';

export interface Source {
  name: SourceName;
  measured: MeasuredPressure;
}
export interface Pair {
  a: SourceName;
  b: SourceName;
  comparison: Comparison;
  /** Whether a difference of this size would change a decision. */
  matters: boolean;
}

const WORTH_TELLING_APART_KPA = 0.5;

/** Everything that tells the manifold pressure in one engine state, on one basis, and each against the sensor. */
export function comparisonsIn(caseFile: CaseFile, engine: EngineState): { sources: Source[]; pairs: Pair[] } {
  const sensor = sensorPressure(caseFile, engine);
  const others = [
    ...gaugeSources(caseFile, engine),
    ...scanSource(caseFile, engine),
    ...(caseFile.ambient && (engine === 'koeo' || engine === 'key-off')
      ? [{ name: 'ambient' as const, measured: ambientPressure(caseFile.ambient) }]
      : []),
  ];
  if (!sensor.ok) return { sources: others, pairs: [] };
  const own: Source = { name: 'sensor', measured: sensor.value.own };
  // The unit does not see the sensor's return: with a raised one, the same signal is two pressures.
  const asSeen: Source = { name: 'signal as the unit sees it', measured: sensor.value.asSeen };
  const shiftedByReturn =
    Math.abs(own.measured.pressureKpaAbs - asSeen.measured.pressureKpaAbs) > WORTH_TELLING_APART_KPA;
  const limit = caseFile.profile.differenceThatMattersKpa;
  const pairs = others.map((other): Pair => {
    // Live data uses the sensor's own curve on what it sees, so the sensor's tolerance is no doubt there.
    const live = other.name === 'live data';
    const mine = live ? withoutTolerance(asSeen.measured) : own.measured;
    const comparison = comparePressures(mine, other.measured, limit);
    const a = live && shiftedByReturn ? asSeen.name : own.name;
    return { a, b: other.name, comparison, matters: Math.abs(comparison.differenceKpa) > limit };
  });
  return { sources: [own, ...(shiftedByReturn ? [asSeen] : []), ...others], pairs };
}

const withoutTolerance = ({ pressureKpaAbs, terms }: MeasuredPressure) =>
  measuredPressure(
    pressureKpaAbs,
    terms.filter(({ source }) => source !== 'sensor tolerance'),
  );

function gaugeSources(caseFile: CaseFile, engine: EngineState): Source[] {
  const { ambient, gauge, readings } = caseFile;
  if (!ambient) return [];
  return (['sensor-hose', 'manifold'] as const).flatMap((tap) => {
    const reading = latest(
      readings,
      (one): one is GaugeReading => one.kind === 'gauge' && one.tap === tap && one.state.engine === engine,
    );
    const measured = reading && gaugePressure(reading, ambient, gauge);
    const name = tap === 'manifold' ? 'gauge at the manifold' : 'gauge at the sensor hose';
    return measured?.ok ? [{ name, measured: measured.value } as const] : [];
  });
}

function scanSource({ readings }: CaseFile, engine: EngineState): Source[] {
  const scan = latest(
    readings,
    (one): one is ScanReading => one.kind === 'scan' && one.state.engine === engine,
  );
  if (!scan) return [];
  const terms = [{ source: 'live data step', standardUncertaintyKpa: fromResolution(SCAN_STEP_KPA) }];
  return [{ name: 'live data', measured: measuredPressure(scan.pressureKpaAbs, terms) }];
}
