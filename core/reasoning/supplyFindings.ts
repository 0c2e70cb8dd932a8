import {
  keyOn,
  latestWire,
  PLACE_WORDS,
  type MachineState,
  type Place,
  type WireReading,
} from '../evidence/index.ts';
import { NORMAL_RETURN_VOLTS, REFERENCE_TOLERANCE_VOLTS } from '../supply/index.ts';
import type { CaseFile } from './caseFile.ts';
import { readingLimitVolts } from './readingLimit.ts';
import { finding, voltsInWords, type Finding, type Remark } from './finding.ts';

const MISSING_VOLTS = 0.5;
/** A return this high is not a voltage drop any more: the sensor hangs on its reference alone. */
const FLOATING_VOLTS = 1;

const loaded = (state: MachineState) => keyOn(state) && state.plug === 'connected';
const plugOff = (state: MachineState) => keyOn(state) && state.plug === 'unplugged';

export function supplyFindings(caseFile: CaseFile): { findings: Finding[]; remarks: Remark[] } {
  const findings = [
    referenceFinding(caseFile, 'plug', loaded),
    referenceFinding(caseFile, 'unit', loaded),
    referenceFinding(caseFile, 'plug', plugOff),
    returnFinding(caseFile, 'plug'),
    returnFinding(caseFile, 'unit'),
  ].filter((found) => found !== undefined);
  return { findings, remarks: unloadedReturnRemarks(caseFile) };
}

function referenceFinding(caseFile: CaseFile, place: Place, inState: (state: MachineState) => boolean) {
  const reading = latestWire(caseFile.readings, 'reference', place, inState);
  if (!reading) return undefined;
  const unloaded = reading.state.plug === 'unplugged';
  const check = unloaded
    ? 'reference-unplugged'
    : place === 'plug'
      ? 'reference-at-plug'
      : 'reference-at-unit';
  const outcome = referenceOutcome(reading, caseFile);
  const words = { normal: 'normal', low: 'low', missing: 'missing', high: 'too high' }[outcome];
  const where = `${PLACE_WORDS[place]}${unloaded ? ' with the plug off' : ''}`;
  return finding(
    `${check}: ${outcome}`,
    `Reference at the ${where} is ${voltsInWords(reading.volts)}: ${words}.`,
    [reading.id],
  );
}

/** The usual ±0.1 V, and beyond it only what the meter itself cannot explain. */
export function referenceOutcome(
  reading: WireReading,
  caseFile: CaseFile,
): 'normal' | 'low' | 'missing' | 'high' {
  const { volts } = reading;
  const { profile } = caseFile;
  const slack = REFERENCE_TOLERANCE_VOLTS + readingLimitVolts(reading, caseFile);
  if (volts < MISSING_VOLTS) return 'missing';
  if (volts < profile.nominalReferenceVolts - slack) return 'low';
  return volts > profile.nominalReferenceVolts + slack ? 'high' : 'normal';
}

function returnFinding(caseFile: CaseFile, place: 'plug' | 'unit') {
  const reading = latestWire(caseFile.readings, 'return', place, loaded);
  if (!reading) return undefined;
  const where = `Return at the ${PLACE_WORDS[place]} is ${voltsInWords(reading.volts)} under load`;
  if (returnIsGood(reading, caseFile)) {
    return finding(`return-at-${place}: good`, `${where}: good.`, [reading.id]);
  }
  if (place === 'plug' && Math.abs(reading.volts) > FLOATING_VOLTS) {
    return finding('return-at-plug: floating', `${where}: it floats, the wire is all but open.`, [
      reading.id,
    ]);
  }
  return finding(`return-at-${place}: raised`, `${where}: raised, so there is resistance in the way.`, [
    reading.id,
  ]);
}

export const returnIsGood = (reading: WireReading, caseFile: CaseFile): boolean =>
  Math.abs(reading.volts) <= NORMAL_RETURN_VOLTS + readingLimitVolts(reading, caseFile);

function unloadedReturnRemarks(caseFile: CaseFile): Remark[] {
  const reading = latestWire(caseFile.readings, 'return', 'plug', plugOff);
  if (!reading || latestWire(caseFile.readings, 'return', 'plug', loaded)) return [];
  return [
    {
      sentence: 'The return was read with the plug off: no current flowed, so it does not prove the wire.',
      readingIds: [reading.id],
    },
  ];
}
