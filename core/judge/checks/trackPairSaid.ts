import { fixed, list, NOTHING_TO_SAY, plain, say, type Message } from '../../measure/message/index.ts';
import { laneSaid } from '../../machine/places/index.ts';
import { enSaid } from '../../measure/uncertainty/index.ts';
import type { TrackPair } from './pairDeviation.ts';

/** Two tracks: whether they belong together, from which numbers, by which limit, and what is taken for granted. */
export function trackPairSaid(pair: TrackPair): Message {
  const { outcome, comparison, unread, deviationPercentOfReference: percent, raisedReturnVolts } = pair;
  const wires = list(
    unread.map((lane) => say('tracks.wire', { lane: laneSaid(lane) })),
    'and',
  );
  const numbers = [
    say('tracks.numbers', {
      first: fixed(pair.firstVolts, 3, 'V'),
      expected: fixed(pair.expectedSecondVolts, 3, 'V'),
      second: fixed(pair.secondVolts, 3, 'V'),
      percent: fixed(Math.abs(percent), 1, '%'),
      low: percent < 0,
      doubt: fixed(comparison.expandedUncertainty * 1000, 0, 'mV'),
      en: comparison.en === undefined ? NOTHING_TO_SAY : say('compare.en', { en: enSaid(comparison.en) }),
      stated: pair.limitIsStated,
      limit: plain(pair.limitPercent, '%'),
    }),
    ...(unread.length > 0 ? [say('tracks.unread', { wires, count: unread.length })] : []),
    ...(raisedReturnVolts === undefined
      ? []
      : [say('tracks.raised-return', { volts: fixed(raisedReturnVolts, 2, 'V') })]),
  ];
  return say('tracks.pair', { said: list([verdictOn(outcome), ...numbers], 'sentences') });

  function verdictOn(of: TrackPair['outcome']): Message {
    if (of !== 'cannot-tell') return of === 'together' ? say('tracks.together') : say('tracks.apart');
    return unread.length > 0
      ? say('tracks.until-read', { wires, count: unread.length })
      : say('tracks.cannot-tell', { limitedBy: comparison.limitedBy });
  }
}
