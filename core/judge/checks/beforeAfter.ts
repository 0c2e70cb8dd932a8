import { say } from '../../measure/message/index.ts';
import { type Evidence, type WireReading } from '../../record/evidence/index.ts';
import { liveDataStep } from '../../machine/family/index.ts';
import {
  compareValues,
  gaugeTerms,
  liveDataTerms,
  liveVoltsTerms,
  measuredValue,
  wireTerms,
  type Comparison,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { isRepeat } from './isRepeat.ts';

/** One point read twice in the same state: the first and the last reading of it. */
export interface BeforeAfter {
  before: Evidence;
  after: Evidence;
  /** After minus before, in volts, kPa or the unit of live data. */
  comparison: Comparison;
}

/**
 * What was read again in the same state with no work on record in between, first against last. Only a change beyond the doubt
 * of both readings is called one.
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
    return before === after ? [] : [{ before, after, comparison: change(before, after, caseFile) }];
  });
}

/** What one instrument is off by both times is no doubt of the change. */
function change(before: Evidence, after: Evidence, caseFile: CaseFile): Comparison {
  const between = (from: MeasuredValue, to: MeasuredValue) => compareValues(to, from, Infinity);
  if (before.kind === 'wire' && after.kind === 'wire') {
    const input = (reading: WireReading) => ({
      volts: reading.volts,
      meter: reading.meter ?? caseFile.meter,
    });
    const terms = wireTerms([
      { name: say('doubt.reading-after'), input: input(after), resultPerVolt: 1 },
      { name: say('doubt.reading-before'), input: input(before), resultPerVolt: -1 },
    ]);
    return between(measuredValue(before.volts, []), measuredValue(after.volts, terms));
  }
  return between(asMeasured(before, caseFile), asMeasured(after, caseFile));
}

function asMeasured(reading: Evidence, caseFile: CaseFile): MeasuredValue {
  const { gauge, family } = caseFile;
  switch (reading.kind) {
    case 'wire':
      return measuredValue(reading.volts, []);
    case 'live-volts':
      return measuredValue(reading.volts, liveVoltsTerms());
    case 'gauge':
      return measuredValue(reading.pressureKpa, gaugeTerms(reading.gauge ?? gauge));
    case 'scan':
      return measuredValue(
        reading.value,
        liveDataTerms(reading.step ?? liveDataStep(family, reading.measures), 0),
      );
  }
}
