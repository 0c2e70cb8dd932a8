import type { ScanReading, WireReading } from '../evidence/index.ts';
import { liveDataStep } from '../family/index.ts';
import { compareValues, liveDataTerms, measuredValue } from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { withoutTolerance } from './comparisons.ts';
import { valueOfSignal } from './sensorValue.ts';

/**
 * Live data against what stands on the wire, by the sensor's own curve on both sides, so that its tolerance is no doubt
 * here. Undefined where the reference is too low to convert with.
 */
export function liveAgainstWire(
  caseFile: CaseFile,
  signal: WireReading,
  scan: ScanReading,
): { onWire: number; differs: boolean } | undefined {
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return undefined;
  const { family, profile } = caseFile;
  const onWire = withoutTolerance(sensor.value.asSeen);
  const shown = measuredValue(scan.value, liveDataTerms(scan.step ?? liveDataStep(family, profile.measures)));
  const { difference } = compareValues(onWire, shown, profile.differenceThatMatters);
  return { onWire: onWire.value, differs: Math.abs(difference) > profile.differenceThatMatters };
}
