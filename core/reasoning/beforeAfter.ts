import { sameDrive, sameTarget, type Evidence } from '../evidence/index.ts';
import { liveDataStep } from '../family/index.ts';
import {
  compareValues,
  fromLimits,
  gaugeTerms,
  liveDataTerms,
  measuredValue,
  type Comparison,
  type MeasuredValue,
} from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { readingLimitVolts } from './readingLimit.ts';

/** One point read twice in the same state: the first and the last reading of it. */
export interface BeforeAfter {
  before: Evidence;
  after: Evidence;
  /** After minus before, in volts, kPa or the unit of live data. */
  comparison: Comparison;
}

/**
 * What was read again in the same state, first against last: the proof of a repair. Only a change beyond the doubt of
 * both readings is called one.
 */
export function beforeAndAfter(caseFile: CaseFile): BeforeAfter[] {
  const groups: Evidence[][] = [];
  for (const reading of caseFile.readings) {
    const group = groups.find(([one]) => one && isRepeat(one, reading));
    if (group) group.push(reading);
    else groups.push([reading]);
  }
  return groups.flatMap((group) => {
    const before = group[0] as Evidence;
    const after = group.at(-1) as Evidence;
    return before === after
      ? []
      : [
          {
            before,
            after,
            comparison: compareValues(asMeasured(after, caseFile), asMeasured(before, caseFile), Infinity),
          },
        ];
  });
}

const isRepeat = (a: Evidence, b: Evidence): boolean =>
  sameTarget(a, b) &&
  a.state.plug === b.state.plug &&
  sameDrive(a.state, b.state) &&
  (a.kind !== 'gauge' || b.kind !== 'gauge' || a.basis === b.basis);

function asMeasured(reading: Evidence, caseFile: CaseFile): MeasuredValue {
  const { gauge, family } = caseFile;
  switch (reading.kind) {
    case 'wire':
      return measuredValue(reading.volts, [
        { source: 'meter', standardUncertainty: fromLimits(readingLimitVolts(reading, caseFile)) },
      ]);
    case 'gauge':
      return measuredValue(reading.pressureKpa, gaugeTerms(reading.gauge ?? gauge));
    case 'scan':
      return measuredValue(
        reading.value,
        liveDataTerms(reading.step ?? liveDataStep(family, reading.measures)),
      );
  }
}
