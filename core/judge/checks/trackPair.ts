import { say } from '../../measure/message/index.ts';
import { pairLimitPercent } from '../../measure/companion/index.ts';
import { latestWire } from '../../record/evidence/index.ts';
import { isReturn, laneSaid, sameDrive, type MachineState } from '../../machine/places/index.ts';
import { NORMAL_RETURN_VOLTS } from '../../machine/limits/index.ts';
import { compareValues, measuredValue, wireTerms } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { supplyOf } from './supplyOf.ts';
import {
  type TrackPair,
  type PairWire,
  WITH_FIRST,
  type PairVolts,
  deviationVolts,
  SLOPE_VOLTS,
  input,
  movedBy,
  COUNTS_PER_VOLT,
  mayBeLess,
  outcomeOf,
} from './pairDeviation.ts';

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
