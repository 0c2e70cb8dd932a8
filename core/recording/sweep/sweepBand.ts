import { pairLimitPercent } from '../../measure/companion/index.ts';
import { pairDeviation } from '../../measure/positionPair/index.ts';
import { isSent, signalFromValue, toleranceAt } from '../../measure/transfer/index.ts';
import type { SweepContext } from './findings/finding.ts';

/** What one channel should be at a value of another, and what may be on either side of it. */
export interface SweepBand {
  /** The channels that belong together: along the plot, and up it. */
  along: number;
  up: number;
  /** In the unit of `up`, at a value of `along`. */
  bandAt: (along: number) => { lowest: number; highest: number };
}

/** Track against track, or the signal against a stimulus that was recorded beside it; undefined where neither is there. */
export function sweepBand({ profile, companion, uses }: SweepContext): SweepBand | undefined {
  const [signal, second, stimulus] = [
    uses.indexOf('signal'),
    uses.indexOf('second-signal'),
    uses.indexOf('stimulus'),
  ];
  const reference = profile.nominalReferenceVolts;
  // No voltage of a line that carries telegrams is a value.
  if (isSent(profile)) return undefined;
  if (signal >= 0 && stimulus >= 0)
    return {
      along: stimulus,
      up: signal,
      bandAt: (value) => {
        const tolerance = toleranceAt(value, profile);
        const ends = [value - tolerance, value + tolerance].map(
          (end) => signalFromValue(end, reference, profile).signalVolts,
        );
        return { lowest: Math.min(...ends), highest: Math.max(...ends) };
      },
    };
  if (signal >= 0 && second >= 0 && companion?.kind === 'second-track') {
    const slack = (pairLimitPercent(companion) / 100) * reference;
    return {
      along: signal,
      up: second,
      bandAt: (volts) => {
        const { expectedSecondVolts } = pairDeviation(volts, 0, reference, companion.pair);
        return { lowest: expectedSecondVolts - slack, highest: expectedSecondVolts + slack };
      },
    };
  }
  return undefined;
}
