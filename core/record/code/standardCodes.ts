import type { FamilyId } from '../../machine/family/index.ts';
import type { Complaint, Watched } from './complaint.ts';

/*
 * Codes that say by their standard what the unit saw (SAE J2012, from memory). Of other codes, and of those of other circuits,
 * nothing is concluded.
 */

type Named = Readonly<Record<string, Complaint>>;

const lowHigh = (about: Watched, low: string, high: string): Named => ({
  [low]: { about, reads: 'low' },
  [high]: { about, reads: 'high' },
});
const apart = (code: string): Named => ({ [code]: { about: 'pair', reads: 'off' } });
const AIR_TEMPERATURE = lowHigh('second-signal', 'P0112', 'P0113');

const OF_FAMILY: Readonly<Record<FamilyId, Named>> = {
  'manifold-pressure': { ...lowHigh('signal', 'P0107', 'P0108'), ...AIR_TEMPERATURE },
  'barometric-pressure': lowHigh('signal', 'P2228', 'P2229'),
  'boost-pressure': { ...lowHigh('signal', 'P0237', 'P0238'), ...AIR_TEMPERATURE },
  'filter-differential': lowHigh('signal', 'P2454', 'P2455'),
  'exhaust-flow-differential': lowHigh('signal', 'P0405', 'P0406'),
  'fuel-rail-pressure': lowHigh('signal', 'P0192', 'P0193'),
  'refrigerant-pressure': lowHigh('signal', 'P0532', 'P0533'),
  'air-flow': { ...lowHigh('signal', 'P0102', 'P0103'), ...AIR_TEMPERATURE },
  throttle: {
    ...lowHigh('signal', 'P0122', 'P0123'),
    ...lowHigh('second-signal', 'P0222', 'P0223'),
    ...apart('P2135'),
  },
  pedal: {
    ...lowHigh('signal', 'P2122', 'P2123'),
    ...lowHigh('second-signal', 'P2127', 'P2128'),
    ...apart('P2138'),
  },
  flap: {
    ...lowHigh('signal', 'P2077', 'P2078'),
    ...lowHigh('second-signal', 'P2082', 'P2083'),
    ...apart('P2079'),
  },
  other: {},
};

/** Of the supplies that a unit gives to its sensors: out of range, low, high. */
const OF_SUPPLIES: Named = Object.fromEntries(
  (['P0641', 'P0651', 'P0697'] as const).flatMap((off, i) =>
    (
      [
        [off, 'off'],
        [['P0642', 'P0652', 'P0698'][i]!, 'low'],
        [['P0643', 'P0653', 'P0699'][i]!, 'high'],
      ] as const
    ).map(([code, reads]) => [code, { about: 'supply', reads }]),
  ),
);

/** What a code says of a sensor of this family; undefined where it says nothing of it. */
export const standardCode = (code: string, family: FamilyId): Complaint | undefined =>
  OF_FAMILY[family][code] ?? OF_SUPPLIES[code];

const WATCHED_WORDS: Record<Watched, string> = {
  signal: 'signal',
  'second-signal': 'second signal',
  supply: 'sensor supply',
  pair: 'two tracks',
};

/** For example “signal too low”. */
export function complaintWords({ about, reads }: Complaint): string {
  if (about === 'pair') return 'the two tracks do not go together';
  return `${WATCHED_WORDS[about]} ${reads === 'off' ? 'out of its range' : `too ${reads}`}`;
}
