import { latestWire, sameDrive, type MachineState, type WireReading } from '../evidence/index.ts';
import { pairDeviation, PAIR_LIMIT_PERCENT_OF_REFERENCE } from '../positionPair/index.ts';
import { compareValues, fromLimits, measuredValue, type Comparison } from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
import { readingLimitVolts } from './readingLimit.ts';

/** Track 2 beside what track 1 calls for, in volts, both read at the plug in one state. */
export interface TrackPair {
  firstVolts: number;
  secondVolts: number;
  expectedSecondVolts: number;
  deviationPercentOfReference: number;
  comparison: Comparison;
  readingIds: readonly string[];
  /** Whether a control unit would call it implausible (common practice). */
  matters: boolean;
}

export function trackPairIn(caseFile: CaseFile, state: MachineState): TrackPair | undefined {
  const { companion, readings } = caseFile;
  if (companion?.kind !== 'second-track') return undefined;
  const at = (lane: 'signal' | 'second-signal') =>
    latestWire(readings, lane, 'plug', (other) => other.plug === 'connected' && sameDrive(other, state));
  const first = at('signal');
  const second = at('second-signal');
  if (!first || !second) return undefined;
  const { referenceVolts } = expectationContext(caseFile);
  const { pair } = companion;
  const { expectedSecondVolts, deviationPercentOfReference } = pairDeviation(
    first.volts,
    second.volts,
    referenceVolts,
    pair,
  );
  const doubt = (reading: Pick<WireReading, 'volts' | 'meter'>) =>
    fromLimits(readingLimitVolts(reading, caseFile));
  const wanted = measuredValue(expectedSecondVolts, [
    {
      source: 'meter on track 1',
      standardUncertainty: doubt(first) / (pair.law === 'ratio' ? pair.ratio : 1),
    },
    ...(pair.law === 'mirrored'
      ? [{ source: 'meter on the reference', standardUncertainty: doubt({ volts: referenceVolts }) }]
      : []),
  ]);
  const seen = measuredValue(second.volts, [
    { source: 'meter on track 2', standardUncertainty: doubt(second) },
  ]);
  const limitVolts = (PAIR_LIMIT_PERCENT_OF_REFERENCE / 100) * referenceVolts;
  const comparison = compareValues(seen, wanted, limitVolts);
  return {
    firstVolts: first.volts,
    secondVolts: second.volts,
    expectedSecondVolts,
    deviationPercentOfReference,
    comparison,
    readingIds: [first.id, second.id],
    matters: Math.abs(comparison.difference) > limitVolts,
  };
}
