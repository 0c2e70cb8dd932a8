import { fixed, measured, say } from '../../measure/message/index.ts';
import { type WireReading } from '../../record/evidence/index.ts';
import { driveSaid, keyOn, sameDrive } from '../../machine/places/index.ts';
import { expectedValue, isVacuumGauged } from '../../machine/family/index.ts';
import { boundSaid, COMMON_VACUUM_GAUGE } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import type { Remark } from './finding.ts';
import { pumpPoint } from './pumpPoint.ts';
import { valueOfSignal } from './sensorValue.ts';
import { signalAtRail } from './signalAtRail.ts';
import { sweepFaults } from './sweepEvidence.ts';
import { trackPairIn } from './trackPair.ts';

/**
 * What the readings show to be wrong without saying why: tracks that do not belong together, pump steps that are not
 * followed, values that the family does not have in a state, faults in a recording. Not weighed, but nobody may call it "nothing wrong".
 */
export function disagreements(caseFile: CaseFile): Remark[] {
  return [...ofTracks(caseFile), ...ofPump(caseFile), ...ofStates(caseFile), ...sweepFaults(caseFile)];
}

/** Each drive that the signal was read in at the plug, with the newest reading of it. Nothing speaks with the key off. */
function signalsByDrive({ readings }: CaseFile): WireReading[] {
  const newest: WireReading[] = [];
  for (const reading of readings) {
    if (reading.kind !== 'wire' || reading.lane !== 'signal' || reading.place !== 'plug') continue;
    if (reading.state.plug !== 'connected' || !keyOn(reading.state)) continue;
    const known = newest.findIndex((one) => sameDrive(one.state, reading.state));
    if (known < 0) newest.push(reading);
    else newest[known] = reading;
  }
  return newest;
}

function ofTracks(caseFile: CaseFile): Remark[] {
  return signalsByDrive(caseFile).flatMap(({ state }) => {
    const pair = trackPairIn(caseFile, state);
    if (pair?.outcome !== 'apart') return [];
    const sentence = say('checks.tracks-do-not-belong-together', {
      drive: driveSaid(state),
      percent: fixed(Math.abs(pair.deviationPercentOfReference), 1, '%'),
    });
    return [{ sentence, readingIds: pair.readingIds }];
  });
}

function ofPump(caseFile: CaseFile): Remark[] {
  const points = signalsByDrive(caseFile).flatMap(({ state: { stimulus } }) =>
    stimulus?.kind === 'pump' ? [pumpPoint(caseFile, stimulus.kpaAboveAmbient, COMMON_VACUUM_GAUGE)] : [],
  );
  const bad = points.filter(
    ({ judged }) => judged?.ok && judged.value.outcome === 'disagree' && judged.value.matters,
  );
  if (bad.length === 0) return [];
  const readingIds = bad.flatMap(({ reading }) => (reading ? [reading.id] : []));
  const sentence = say('checks.sensor-does-not-follow-pump', { bad: bad.length, all: points.length });
  return [{ sentence, readingIds }];
}

/** States beside a gauge are weighed already; the others are only set beside what they should be. */
function ofStates(caseFile: CaseFile): Remark[] {
  if (isVacuumGauged(caseFile.family)) return [];
  const { profile } = caseFile;
  return signalsByDrive(caseFile).flatMap((signal) => {
    const { state } = signal;
    // At rest the first question of the order of work weighs it; past a circuit limit it is no value at all.
    if (state.stimulus?.kind === 'pump' || (state.engine === 'koeo' && !state.stimulus)) return [];
    const band = expectedValue(state, caseFile);
    if (!band.ok || signalAtRail(signal, caseFile)) return [];
    const sensor = valueOfSignal(caseFile, signal);
    if (!sensor.ok) return [];
    const { own } = sensor.value;
    const { value, expandedUncertainty, bound } = own;
    const { lowest, highest, atMost = [lowest, highest] } = band.value;
    // A bound is away only on the side where it is one.
    const below = bound === 'at-or-above' ? 0 : atMost[0] - value;
    const above = bound === 'at-or-below' ? 0 : value - atMost[1];
    const away = Math.max(below, above);
    if (away <= Math.max(expandedUncertainty, profile.differenceThatMatters)) return [];
    const show = (given: number) => measured(given, profile.measures);
    const sentence = say('checks.sensor-reads-would-usual', {
      value: boundSaid(bound, show(value)),
      drive: driveSaid(state),
      lowest: show(lowest),
      highest: show(highest),
    });
    return [{ sentence, readingIds: [signal.id] }];
  });
}
