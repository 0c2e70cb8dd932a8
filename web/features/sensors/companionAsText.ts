import type { Companion } from '@lettura/core/measure/companion';
import { type CompanionText, EMPTY_COMPANION } from './companionText.ts';

export function companionAsText(companion: Companion | undefined): CompanionText {
  if (!companion) return EMPTY_COMPANION;
  if (companion.kind === 'second-track') {
    const { pair, separateFeeds, limitPercentOfReference } = companion;
    const limit = limitPercentOfReference === undefined ? '' : String(limitPercentOfReference);
    return pair.law === 'mirrored'
      ? { ...EMPTY_COMPANION, kind: 'mirrored', separateFeeds, limit }
      : {
          ...EMPTY_COMPANION,
          kind: 'ratio',
          separateFeeds,
          limit,
          ratio: String(pair.ratio),
          offset: String(pair.offsetVolts),
        };
  }
  const { thermistor, pullUpOhms } = companion;
  const pullUp = String(pullUpOhms);
  return thermistor.law === 'beta'
    ? {
        ...EMPTY_COMPANION,
        kind: 'beta',
        pullUp,
        ohms: String(thermistor.ohmsAt25Celsius),
        beta: String(thermistor.betaKelvin),
      }
    : {
        ...EMPTY_COMPANION,
        kind: 'steinhart-hart',
        pullUp,
        a: String(thermistor.a),
        b: String(thermistor.b),
        c: String(thermistor.c),
      };
}
