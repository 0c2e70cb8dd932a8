import type { ScanReading, WireReading } from '../../record/evidence/index.ts';
import { compareValues } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { withoutTolerance } from './comparisons.ts';
import { liveValue } from './liveValue.ts';
import { valueOfSignal } from './sensorValue.ts';

/**
 * Live data against what stands on the wire, by the sensor's own curve on both sides, so that its tolerance is no doubt
 * here. Undefined where the reference is too low to convert with, and where the sensor only says on which side of an end it is.
 */
export function liveAgainstWire(
  caseFile: CaseFile,
  signal: WireReading,
  scan: ScanReading,
): { onWire: number; differs: boolean } | undefined {
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return undefined;
  const { profile } = caseFile;
  const onWire = withoutTolerance(sensor.value.asSeen);
  const { difference, ofBound, outcome } = compareValues(
    onWire,
    liveValue(caseFile, scan),
    profile.differenceThatMatters,
  );
  // At the end of what the sensor can show only a value on the far side is another one.
  if (ofBound && outcome === 'cannot-tell') return undefined;
  return { onWire: onWire.value, differs: Math.abs(difference) > profile.differenceThatMatters };
}
