import { latest, sameDrive, type Drive, type GaugeReading, type ScanReading } from '../evidence/index.ts';
import { liveDataStep } from '../family/index.ts';
import { isPressure } from '../quantity/index.ts';
import {
  compareValues,
  liveDataTerms,
  measuredValue,
  SENSOR_TOLERANCE,
  type Comparison,
  type MeasuredValue,
} from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { ambientPressure, gaugeAgainstSensor } from './gaugePressure.ts';
import { sensorValue } from './sensorValue.ts';

export type SourceName =
  | 'sensor'
  | 'signal as the unit sees it'
  | 'gauge at the sensor hose'
  | 'gauge at the manifold'
  | 'live data'
  | 'ambient';

export interface Source {
  name: SourceName;
  measured: MeasuredValue;
}
export interface Pair {
  a: SourceName;
  b: SourceName;
  comparison: Comparison;
  /** Whether a difference of this size would change a decision. */
  matters: boolean;
}

/** A return that shifts the reading by less than this share of what matters is not worth a line of its own. */
const WORTH_TELLING_APART_SHARE = 0.075;

/** Everything that tells what the sensor measures in one state, on one basis, and each against the sensor. */
export function comparisonsIn(caseFile: CaseFile, drive: Drive): { sources: Source[]; pairs: Pair[] } {
  const sensor = sensorValue(caseFile, drive);
  const others = [
    ...gaugeSources(caseFile, drive),
    ...scanSource(caseFile, drive),
    ...ambientSource(caseFile, drive),
  ];
  if (!sensor.ok) return { sources: others, pairs: [] };
  const own: Source = { name: 'sensor', measured: sensor.value.own };
  // The unit does not see the sensor's return: with a raised one, the same signal is two values.
  const asSeen: Source = { name: 'signal as the unit sees it', measured: sensor.value.asSeen };
  const limit = caseFile.profile.differenceThatMatters;
  const shiftedByReturn =
    Math.abs(own.measured.value - asSeen.measured.value) > WORTH_TELLING_APART_SHARE * limit;
  const pairs = others.map((other): Pair => {
    // Live data uses the sensor's own curve on what it sees, so the sensor's tolerance is no doubt there.
    const live = other.name === 'live data';
    const mine = live ? withoutTolerance(asSeen.measured) : own.measured;
    const comparison = compareValues(mine, other.measured, limit);
    const a = live && shiftedByReturn ? asSeen.name : own.name;
    return { a, b: other.name, comparison, matters: Math.abs(comparison.difference) > limit };
  });
  return { sources: [own, ...(shiftedByReturn ? [asSeen] : []), ...others], pairs };
}

export const withoutTolerance = ({ value, terms }: MeasuredValue): MeasuredValue =>
  measuredValue(
    value,
    terms.filter(({ source }) => source !== SENSOR_TOLERANCE),
  );

function gaugeSources({ ambient, gauge, readings, profile }: CaseFile, drive: Drive): Source[] {
  if (!isPressure(profile.measures)) return [];
  return (['sensor-hose', 'manifold'] as const).flatMap((tap) => {
    const reading = latest(
      readings,
      (one): one is GaugeReading => one.kind === 'gauge' && one.tap === tap && sameDrive(one.state, drive),
    );
    const measured = reading && gaugeAgainstSensor(reading, profile.measures, ambient, gauge);
    const name = tap === 'manifold' ? 'gauge at the manifold' : 'gauge at the sensor hose';
    return measured?.ok ? [{ name, measured: measured.value } as const] : [];
  });
}

function scanSource({ readings, profile, family }: CaseFile, drive: Drive): Source[] {
  const scan = latest(
    readings,
    (one): one is ScanReading =>
      one.kind === 'scan' && one.measures === profile.measures && sameDrive(one.state, drive),
  );
  if (!scan) return [];
  return [
    {
      name: 'live data',
      measured: measuredValue(scan.value, liveDataTerms(scan.step ?? liveDataStep(family, profile.measures))),
    },
  ];
}

/** With the engine stopped, what is open to the air is at ambient pressure. */
function ambientSource({ ambient, family, profile }: CaseFile, drive: Drive): Source[] {
  const open =
    family === 'barometric-pressure' ||
    ((drive.engine === 'koeo' || drive.engine === 'key-off') &&
      (family === 'manifold-pressure' || family === 'boost-pressure' || family === 'other'));
  return ambient && open && !drive.stimulus && profile.measures === 'absolute-pressure'
    ? [{ name: 'ambient', measured: ambientPressure(ambient) }]
    : [];
}
