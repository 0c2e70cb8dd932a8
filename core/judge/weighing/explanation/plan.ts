import type { Message } from '../../../measure/message/index.ts';
import { isLiveData } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import type { Judgement, Suggestion } from '../gate/judgement.ts';
import { titleSaid } from '../posterior/causeSaid.ts';
import { nextReading, type NextReading } from './nextReading.ts';

/** With what one would rather begin; schools differ, and each has its price. */
export const SCHOOL_IDS = ['plug-off', 'live-data', 'gauge'] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

export interface Beginning {
  school: SchoolId;
  next: NextReading;
  /**
   * How much longer it takes to know as much as by the reading that tells most a minute: its minutes, less those in which
   * that rate would tell the same.
   */
  dearerByMinutes: number;
}

/** What is known of a job before anything was read, and where to begin. */
export interface Plan {
  /** What codes, complaint and circumstances make likely, the likeliest first, with shares of all that can be wrong. */
  suspected: { title: Message; share: number }[];
  /** The best reading of each school that has one here. */
  beginnings: Beginning[];
}

const MOST_SUSPECTED = 4;

const OF_SCHOOL: Record<SchoolId, (suggestion: Suggestion) => boolean> = {
  'plug-off': ({ candidate: { target, state } }) =>
    state.plug === 'unplugged' && target.kind !== 'observation',
  'live-data': ({ candidate: { target, state } }) => isLiveData(target) && !state.stimulus,
  gauge: ({ candidate: { target, state } }) => target.kind === 'gauge' || state.stimulus?.kind === 'pump',
};

/** The first page of a job. It is the same weighing that asks for the next reading, seen before the first. */
export function planOf({ ranked, suggestions, decisions }: Judgement, caseFile: CaseFile): Plan {
  const faults = ranked.filter(({ decision }) => !['nothing', 'unlisted'].includes(decision.class));
  const inAll = faults.reduce((sum, { share }) => sum + share, 0);
  const rate = Math.max(0, ...suggestions.map(({ bits, minutes }) => bits / minutes));
  return {
    suspected: faults.slice(0, MOST_SUSPECTED).map(({ decision, share }) => ({
      title: titleSaid(decision.cause),
      share: inAll > 0 ? share / inAll : 0,
    })),
    beginnings: SCHOOL_IDS.flatMap((school) => {
      const [best] = suggestions
        .filter(OF_SCHOOL[school])
        .sort((a, b) => b.bits / b.minutes - a.bits / a.minutes);
      if (!best) return [];
      const worth = rate > 0 ? best.bits / rate : best.minutes;
      return [
        {
          school,
          next: nextReading(best, decisions, caseFile),
          dearerByMinutes: Math.max(0, Math.round(2 * (best.minutes - worth)) / 2),
        },
      ];
    }),
  };
}
