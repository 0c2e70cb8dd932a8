import type { AnyEvidence, OhmsReading } from '../../record/evidence/index.ts';
import { samePoint } from '../../machine/places/index.ts';
import { type PinTest } from './pinTests.ts';

/** The newest ohms across the two pins of a test, whichever way round; undefined where there are none. */
export const pinReading = (
  { from, to }: PinTest,
  readings: readonly AnyEvidence[],
): OhmsReading | undefined =>
  readings.findLast(
    (reading): reading is OhmsReading =>
      reading.kind === 'ohms' &&
      ((samePoint(reading.from, from) && samePoint(reading.to, to)) ||
        (samePoint(reading.from, to) && samePoint(reading.to, from))),
  );

/** Where ohms lie against what is usual; OL is high. */
export const pinJudged = (
  { lowestOhms, highestOhms }: PinTest,
  { ohms }: OhmsReading,
): 'usual' | 'low' | 'high' =>
  ohms === null || ohms > highestOhms ? 'high' : ohms < lowestOhms ? 'low' : 'usual';
