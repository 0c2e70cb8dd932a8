import { LANE_WORDS } from '@lettura/core/machine/places';
import type { TrackPair } from '@lettura/core/judge/checks';
import { enInWords } from '@lettura/core/measure/uncertainty';

/** Two tracks in sentences: whether they belong together, from which numbers, by which limit, and what is taken for granted. */
export function trackPairInWords(pair: TrackPair): string {
  const { outcome, comparison, unread, deviationPercentOfReference, raisedReturnVolts } = pair;
  const wires = unread.map((lane) => LANE_WORDS[lane]).join(' and the ');
  const side = deviationPercentOfReference < 0 ? 'low' : 'high';
  const en = comparison.en === undefined ? '' : `, En ${enInWords(comparison.en)}`;
  const said = `Track 1 reads ${pair.firstVolts.toFixed(3)} V and calls for ${pair.expectedSecondVolts.toFixed(3)} V on track 2, which reads ${pair.secondVolts.toFixed(3)} V: ${Math.abs(deviationPercentOfReference).toFixed(1)} % of the reference ${side} (±${(comparison.expandedUncertainty * 1000).toFixed(0)} mV${en}); ${pair.limitIsStated ? 'this sensor’s' : 'the usual'} limit is ${pair.limitPercent} %.`;
  const taken =
    unread.length === 0
      ? ''
      : ` The ${wires} ${unread.length > 1 ? 'have' : 'has'} not been read: nominal is taken.`;
  const ground =
    raisedReturnVolts === undefined
      ? ''
      : ` The return is ${raisedReturnVolts.toFixed(2)} V off battery negative, and is taken off both tracks: look at the ground.`;
  switch (outcome) {
    case 'together':
      return `✓ Belong together. ${said}${taken}${ground}`;
    case 'apart':
      return `✕ Do not belong together. ${said}${taken}${ground}`;
    case 'cannot-tell':
      return unread.length > 0
        ? `? Cannot tell until the ${wires} ${unread.length > 1 ? 'are' : 'is'} read. ${said}${taken}${ground}`
        : `? These instruments cannot tell: the limit is ${comparison.limitedBy}. ${said}${ground}`;
  }
}
