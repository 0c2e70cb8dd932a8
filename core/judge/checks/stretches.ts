import { type AnyEvidence, type BetweenReading, type OhmsReading } from '../../record/evidence/index.ts';
import { keyOn, samePoint, type Lane, type Place } from '../../machine/places/index.ts';
import {
  GROUNDED_OHMS,
  OPEN_STRETCH_OHMS,
  SOUND_STRETCH_OHMS,
  soundReturnVolts,
} from '../../machine/limits/index.ts';
import type { CaseFile } from './caseFile.ts';
import { readingLimitVolts } from './readingLimit.ts';

/** A length of one wire between two places that can be probed. */
export interface Stretch {
  lane: Lane;
  from: Place;
  to: Place;
}

const covers = ({ lane, from, to }: Stretch, reading: Pick<BetweenReading, 'from' | 'to'>): boolean => {
  const [a, b] = [
    { lane, place: from },
    { lane, place: to },
  ];
  return (
    (samePoint(reading.from, a) && samePoint(reading.to, b)) ||
    (samePoint(reading.from, b) && samePoint(reading.to, a))
  );
};

/** The newest drop over a stretch while it carried its current, with nothing attached. */
export const dropOver = (stretch: Stretch, { isolation }: CaseFile): BetweenReading | undefined =>
  isolation.findLast(
    (reading: AnyEvidence): reading is BetweenReading =>
      reading.kind === 'between' &&
      keyOn(reading.state) &&
      reading.state.plug === 'connected' &&
      !reading.state.harness &&
      covers(stretch, reading),
  );

/** The newest ohms of a stretch; with the key on they mean nothing. */
export const ohmsOf = (stretch: Stretch, { isolation }: CaseFile): OhmsReading | undefined =>
  isolation.findLast(
    (reading: AnyEvidence): reading is OhmsReading =>
      reading.kind === 'ohms' && !keyOn(reading.state) && !reading.state.harness && covers(stretch, reading),
  );

/** Whether a voltage read along one wire is no more than a sound wire loses under load. */
export const dropIsSmall = (reading: BetweenReading, caseFile: CaseFile): boolean =>
  Math.abs(reading.volts) <=
  soundReturnVolts(caseFile.profile.measures) + readingLimitVolts(reading, caseFile);

/** `few` proves nothing under load: a thread of copper has few ohms as well. */
export const ohmsJudged = ({ ohms }: OhmsReading): 'few' | 'too-many' | 'open' =>
  ohms === null || ohms > OPEN_STRETCH_OHMS ? 'open' : ohms > SOUND_STRETCH_OHMS ? 'too-many' : 'few';

/** The newest ohms from a wire at the plug to ground, the sensor off it and nothing powered. */
export const ohmsToGround = (lane: Lane, { isolation }: CaseFile): OhmsReading | undefined =>
  isolation.findLast(
    (reading: AnyEvidence): reading is OhmsReading =>
      reading.kind === 'ohms' &&
      !keyOn(reading.state) &&
      reading.state.plug === 'unplugged' &&
      samePoint(reading.from, { lane, place: 'plug' }) &&
      reading.to === 'battery-negative',
  );

/** Whether something holds the wire down. */
export const isGrounded = ({ ohms }: OhmsReading): boolean => ohms !== null && ohms < GROUNDED_OHMS;
