import { say } from '../../measure/message/index.ts';
import { pairLimitPercent, type SecondTrack } from '../../measure/companion/index.ts';
import { latestWire } from '../../record/evidence/index.ts';
import {
  isReturn,
  laneSaid,
  isSecond,
  sameDrive,
  type Lane,
  type MachineState,
} from '../../machine/places/index.ts';
import { pairDeviation } from '../../measure/positionPair/index.ts';
import {
  CONCEIVABLE_REFERENCE_SHARE,
  CONCEIVABLE_RETURN_VOLTS,
  NORMAL_RETURN_VOLTS,
} from '../../machine/limits/index.ts';
import {
  compareValues,
  measuredValue,
  wireTerms,
  type Comparison,
  type WireInput,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { supplyOf } from './supplyOf.ts';

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

interface PairVolts {
  first: number;
  second: number;
  reference: number;
  return: number;
  'second-reference': number;
  'second-return': number;
}

/** Both tracks of a pair, compared in one state; undefined where one was not read or the sensor has one track. */
export function trackPairIn(caseFile: CaseFile, state: MachineState): TrackPair | undefined {
  const { companion, readings, meter, profile } = caseFile;
  if (companion?.kind !== 'second-track') return undefined;
  const at = (lane: 'signal' | 'second-signal') =>
    latestWire(readings, lane, 'plug', (other) => other.plug === 'connected' && sameDrive(other, state));
  const [first, second] = [at('signal'), at('second-signal')];
  if (!first || !second) return undefined;
  const wires = (
    companion.separateFeeds
      ? (['reference', 'return', 'second-reference', 'second-return'] as const)
      : (['reference', 'return'] as const)
  ).map((lane) => ({ lane, ...supplyOf(caseFile, lane, state) }));
  const asRead = (name: PairWire): number =>
    (wires.find(({ lane }) => lane === name) ?? wires.find(({ lane }) => lane === WITH_FIRST[name]))!.input
      .volts;
  const volts: PairVolts = {
    first: first.volts,
    second: second.volts,
    reference: asRead('reference'),
    return: asRead('return'),
    'second-reference': asRead('second-reference'),
    'second-return': asRead('second-return'),
  };
  const deviation = (given: PairVolts): number => deviationVolts(given, companion);
  const perVolt = (names: readonly (keyof PairVolts)[]): number => {
    const moved = (by: number) =>
      deviation(names.reduce((all, name) => ({ ...all, [name]: all[name] + by }), volts));
    return (moved(SLOPE_VOLTS) - moved(-SLOPE_VOLTS)) / (2 * SLOPE_VOLTS);
  };
  const influences = [
    {
      name: say('doubt.track', { number: 1 }),
      names: ['first'] as const,
      input: input(first.volts, first.meter ?? meter),
    },
    {
      name: say('doubt.track', { number: 2 }),
      names: ['second'] as const,
      input: input(second.volts, second.meter ?? meter),
    },
    ...wires.map(({ lane, input: of }) => ({
      name: laneSaid(lane),
      names: movedBy(lane, companion),
      input: of,
    })),
  ].map(({ name, names, input: of }) => ({ name, input: of, resultPerVolt: perVolt(names) }));
  const supplyVolts = volts['second-reference'] - volts['second-return'];
  const limitPercent = pairLimitPercent(companion);
  const limitVolts = (limitPercent / 100) * supplyVolts;
  const off = deviation(volts);
  const terms = wireTerms(influences).filter(({ standardUncertainty }) => standardUncertainty > 0);
  const comparison = compareValues(
    measuredValue(second.volts, terms),
    measuredValue(second.volts - off, []),
    limitVolts,
  );
  const counting = wires.filter(
    ({ lane, reading }) => !reading && Math.abs(perVolt(movedBy(lane, companion))) > COUNTS_PER_VOLT,
  );
  const matters = Math.abs(off) > limitVolts;
  const excused =
    matters &&
    mayBeLess(
      counting.map(({ lane }) => movedBy(lane, companion)),
      volts,
      deviation,
      limitVolts + comparison.expandedUncertainty,
      profile.nominalReferenceVolts,
    );
  const raised = wires
    .filter(({ lane, reading }) => isReturn(lane) && reading !== undefined)
    .map(({ input: of }) => of.volts)
    .find((of) => Math.abs(of) > NORMAL_RETURN_VOLTS);
  return {
    firstVolts: first.volts,
    secondVolts: second.volts,
    expectedSecondVolts: second.volts - off,
    deviationPercentOfReference: (100 * off) / supplyVolts,
    comparison,
    readingIds: [first.id, second.id, ...wires.flatMap(({ reading }) => (reading ? [reading.id] : []))],
    limitPercent,
    limitIsStated: companion.limitPercentOfReference !== undefined,
    outcome: outcomeOf({ matters, excused, comparison }),
    unread: counting.map(({ lane }) => lane),
    raisedReturnVolts: raised,
  };
}

/** Track 2 less what track 1 calls for, each in its own supply. */
function deviationVolts(volts: PairVolts, { pair }: SecondTrack): number {
  const supply = volts.reference - volts.return;
  const secondSupply = volts['second-reference'] - volts['second-return'];
  const first = (volts.first - volts.return) * (secondSupply / supply);
  return pairDeviation(first, volts.second - volts['second-return'], secondSupply, pair).deviationVolts;
}

function outcomeOf({
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
function mayBeLess(
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
const movedBy = (lane: PairWire, { separateFeeds }: SecondTrack): readonly (keyof PairVolts)[] =>
  separateFeeds || isSecond(lane)
    ? [lane]
    : lane === 'reference'
      ? ['reference', 'second-reference']
      : ['return', 'second-return'];

const WITH_FIRST: Partial<Record<PairWire, PairWire>> = {
  'second-reference': 'reference',
  'second-return': 'return',
};
const input = (volts: number, meter: Extract<WireInput, { meter: unknown }>['meter']): WireInput => ({
  volts,
  meter,
});
/** Far enough for a slope, near enough for a curve as flat as this. */
const SLOPE_VOLTS = 1e-4;
/** A wire that moves the pair by less than this per volt explains nothing. */
const COUNTS_PER_VOLT = 0.02;
