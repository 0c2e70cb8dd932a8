import { PAIR_LIMIT_PERCENT_OF_REFERENCE, type PairLaw } from '../positionPair/index.ts';
import type { ThermistorInput } from '../thermistor/index.ts';

/** What else the body of a sensor reports, on a signal wire of its own. */
export type Companion =
  | {
      kind: 'second-track';
      pair: PairLaw;
      /** Whether each track has a reference and return of its own. */
      separateFeeds: boolean;
      /** How far the tracks may part, in % of the reference; the usual limit where the maker says nothing. */
      limitPercentOfReference?: number | undefined;
    }
  | ({ kind: 'temperature' } & ThermistorInput);

export type SecondTrack = Extract<Companion, { kind: 'second-track' }>;

/** The limit that decides, and whether it is the sensor's own or the usual one. */
export const pairLimitPercent = ({ limitPercentOfReference }: SecondTrack): number =>
  limitPercentOfReference ?? PAIR_LIMIT_PERCENT_OF_REFERENCE;
