import { soundSupply } from '../../machine/limits/index.ts';
import { batteryState, type Lane } from '../../machine/places/index.ts';
import type { WireReading } from '../../record/evidence/index.ts';
import type { CaseFile } from './caseFile.ts';
import { readingLimitVolts } from './readingLimit.ts';

/**
 * Whether a reading of a supply wire, key on, is as a sound one gives it, within what its meter can tell. What is too high on a
 * battery feed is no fault of the feed. Undefined for a wire without a voltage of its own: a signal, a motor wire.
 */
export function supplyIsGood(
  lane: Lane,
  reading: Pick<WireReading, 'volts' | 'meter' | 'state'>,
  caseFile: Pick<CaseFile, 'profile' | 'meter'>,
): boolean | undefined {
  const band = soundSupply(lane, { profile: caseFile.profile, battery: batteryState(reading.state) });
  if (!band) return undefined;
  const slack = readingLimitVolts(reading, caseFile);
  const tooHigh = lane !== 'battery-feed' && reading.volts > band.highest + slack;
  return reading.volts >= band.lowest - slack && !tooHigh;
}
