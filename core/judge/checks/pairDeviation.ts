import { type SecondTrack } from '../../measure/companion/index.ts';
import { isSecond, type Lane } from '../../machine/places/index.ts';
import { pairDeviation } from '../../measure/positionPair/index.ts';
import { CONCEIVABLE_REFERENCE_SHARE, CONCEIVABLE_RETURN_VOLTS } from '../../machine/limits/index.ts';
import { type Comparison, type WireInput } from '../../measure/uncertainty/index.ts';

export type PairWire = Extract<Lane, 'reference' | 'return' | 'second-reference' | 'second-return'>;

/** Track 2 beside what track 1 calls for, in volts, both read at the plug in one state and each against its own return. */
export interface TrackPair {
  /** As read. */
  firstVolts: number;
  secondVolts: number;
  /** At the wire, so with the return of track 2 in it. */
  expectedSecondVolts: number;
  deviationPercentOfReference: number;
  comparison: Comparison;
  readingIds: readonly string[];
  limitPercent: number;
  /** Whether the limit is the sensor's own, rather than the usual one. */
  limitIsStated: boolean;
  /** Apart only where no supply that could be there makes them belong together. */
  outcome: 'together' | 'apart' | 'cannot-tell';
  /** Wires of the supply that count and that nobody read. */
  unread: readonly PairWire[];
  /** A return that was read and is raised: it shifts both tracks, and is taken off. */
  raisedReturnVolts: number | undefined;
}

export interface PairVolts {
  first: number;
  second: number;
  reference: number;
  return: number;
  'second-reference': number;
  'second-return': number;
}

/** Track 2 less what track 1 calls for, each in its own supply. */
export function deviationVolts(volts: PairVolts, { pair }: SecondTrack): number {
  const supply = volts.reference - volts.return;
  const secondSupply = volts['second-reference'] - volts['second-return'];
  const first = (volts.first - volts.return) * (secondSupply / supply);
  return pairDeviation(first, volts.second - volts['second-return'], secondSupply, pair).deviationVolts;
}

/** What a comparison of the tracks comes to, where unread wires may excuse it. */
export function outcomeOf({
  matters,
  excused,
  comparison,
}: {
  matters: boolean;
  excused: boolean;
  comparison: Comparison;
}): TrackPair['outcome'] {
  if (matters) return excused || comparison.outcome !== 'disagree' ? 'cannot-tell' : 'apart';
  return comparison.outcome === 'cannot-tell' ? 'cannot-tell' : 'together';
}

/** Whether unread wires, anywhere that a faulty supply may be, could bring the deviation within its limit. */
export function mayBeLess(
  unread: readonly (readonly (keyof PairVolts)[])[],
  volts: PairVolts,
  deviation: (given: PairVolts) => number,
  limitVolts: number,
  nominalVolts: number,
): boolean {
  let corners = [volts];
  for (const names of unread) {
    const { lowest, highest } = names[0]?.endsWith('return')
      ? CONCEIVABLE_RETURN_VOLTS
      : {
          lowest: CONCEIVABLE_REFERENCE_SHARE.lowest * nominalVolts,
          highest: CONCEIVABLE_REFERENCE_SHARE.highest * nominalVolts,
        };
    corners = corners.flatMap((corner) =>
      [lowest, highest].map((at) => names.reduce((all, name) => ({ ...all, [name]: at }), corner)),
    );
  }
  // The deviation rises or falls with each of them all the way, so that its ends are at corners.
  const found = corners.map(deviation);
  return Math.min(...found) <= limitVolts && Math.max(...found) >= -limitVolts;
}

/** A shared wire moves both tracks. */
export const movedBy = (lane: PairWire, { separateFeeds }: SecondTrack): readonly (keyof PairVolts)[] =>
  separateFeeds || isSecond(lane)
    ? [lane]
    : lane === 'reference'
      ? ['reference', 'second-reference']
      : ['return', 'second-return'];

export const WITH_FIRST: Partial<Record<PairWire, PairWire>> = {
  'second-reference': 'reference',
  'second-return': 'return',
};

/** One voltage as a term of a doubt. */
export const input = (volts: number, meter: Extract<WireInput, { meter: unknown }>['meter']): WireInput => ({
  volts,
  meter,
});
/** Far enough for a slope, near enough for a curve as flat as this. */
export const SLOPE_VOLTS = 1e-4;
/** A wire that moves the pair by less than this per volt explains nothing. */
export const COUNTS_PER_VOLT = 0.02;
