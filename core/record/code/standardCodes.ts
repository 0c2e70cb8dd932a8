import { say, type Message } from '../../measure/message/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';
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

function ofFamily(family: FamilyId): Named {
  const { signal, 'second-signal': second, apart: pair } = familyOf(family).codes;
  return {
    ...(signal && lowHigh('signal', ...signal)),
    ...(second && lowHigh('second-signal', ...second)),
    ...(pair && apart(pair)),
  };
}

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
  ofFamily(family)[code] ?? OF_SUPPLIES[code];

/** What a code complains of. */
export const complaintSaid = ({ about, reads }: Complaint): Message =>
  about === 'pair' ? say('codes.pair') : say(`codes.${reads}`, { about: say(`codes.${about}`) });
