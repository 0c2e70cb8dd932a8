import { say, volts } from '../../measure/message/index.ts';
import { latestWire, type WireReading } from '../../record/evidence/index.ts';
import { isSteady, placeSaid, type MachineState, type Place } from '../../machine/places/index.ts';
import { FLOATING_RETURN_VOLTS, MISSING_REFERENCE_VOLTS } from '../../machine/limits/index.ts';
import type { CaseFile } from './caseFile.ts';
import { supplyIsGood } from './supplyIsGood.ts';
import { finding, type Finding, type Remark } from './finding.ts';

const loaded = (state: MachineState) => isSteady(state) && state.plug === 'connected';
const plugOff = (state: MachineState) => isSteady(state) && state.plug === 'unplugged';

/** What reference, return and feed say at the plug and at the unit. */
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
  return finding(
    `${check}=${outcome}`,
    say('checks.reference-is', {
      place: placeSaid(place),
      unloaded,
      volts: volts(reading.volts),
      outcome,
    }),
    [reading.id],
  );
}

/** What a reference in volts is: as it should be, low, high or missing. */
export function referenceOutcome(
  reading: WireReading,
  caseFile: CaseFile,
): 'normal' | 'low' | 'missing' | 'high' {
  if (reading.volts < MISSING_REFERENCE_VOLTS) return 'missing';
  if (supplyIsGood('reference', reading, caseFile)) return 'normal';
  return reading.volts < caseFile.profile.nominalReferenceVolts ? 'low' : 'high';
}

function returnFinding(caseFile: CaseFile, place: 'plug' | 'unit') {
  const reading = latestWire(caseFile.readings, 'return', place, loaded);
  if (!reading) return undefined;
  const where = say('checks.return-under-load', { place: placeSaid(place), volts: volts(reading.volts) });
  if (supplyIsGood('return', reading, caseFile)) {
    return finding(`return-at-${place}=good`, say('checks.return-good', { where }), [reading.id]);
  }
  if (place === 'plug' && Math.abs(reading.volts) > FLOATING_RETURN_VOLTS) {
    return finding('return-at-plug=floating', say('checks.floats-wire-all-but-open', { where }), [
      reading.id,
    ]);
  }
  return finding(`return-at-${place}=raised`, say('checks.raised-there-resistance-way', { where }), [
    reading.id,
  ]);
}

function unloadedReturnRemarks(caseFile: CaseFile): Remark[] {
  const reading = latestWire(caseFile.readings, 'return', 'plug', plugOff);
  if (!reading || latestWire(caseFile.readings, 'return', 'plug', loaded)) return [];
  return [
    {
      sentence: say('checks.return-read-plug-off-no'),
      readingIds: [reading.id],
    },
  ];
}
