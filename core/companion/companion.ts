import type { PairLaw } from '../positionPair/index.ts';
import type { ThermistorInput } from '../thermistor/index.ts';

/** What else the body of a sensor reports, on a signal wire of its own. */
export type Companion =
  | {
      kind: 'second-track';
      pair: PairLaw;
      /** Whether each track has a reference and return of its own. */
      separateFeeds: boolean;
    }
  | ({ kind: 'temperature' } & ThermistorInput);
