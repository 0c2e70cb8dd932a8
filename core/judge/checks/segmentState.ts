import { plain, say, volts, type Message } from '../../measure/message/index.ts';
import { type Lane, type Place } from '../../machine/places/index.ts';
import type { CaseFile } from './caseFile.ts';
import { dropIsSmall, dropOver, ohmsJudged, ohmsOf } from './stretches.ts';

export type SegmentState = 'proven' | 'suspect' | 'faulty' | 'unknown';

export interface SegmentView {
  from: Place;
  to: Place;
  state: SegmentState;
  /** What speaks for it, in a sentence. */
  because: Message;
  readingIds: string[];
}

export interface Point {
  place: Place;
  good: boolean | undefined;
  id: string | undefined;
}

export const EXPLAINED_BY_THE_OTHER = say('checks.fault-found-beside-explains-read');

export const BECAUSE: Record<SegmentState, Message> = {
  proven: say('checks.read-beyond-good-passed-here'),
  faulty: say('checks.good-before-bad-after'),
  suspect: say('checks.bad-beyond-nobody-measured-yet'),
  unknown: say('checks.no-reading-speaks-stretch-yet'),
};

/** A drop or ohms taken over the very stretch say more than what can be concluded from its ends. */
export function measuredAlong(view: SegmentView, lane: Lane, caseFile: CaseFile): SegmentView {
  const stretch = { lane, from: view.from, to: view.to };
  const drop = dropOver(stretch, caseFile);
  if (drop && dropIsSmall(drop, caseFile))
    return {
      ...view,
      state: 'proven',
      because: say('checks.only-lost-over-under-load', { volts: volts(Math.abs(drop.volts)) }),
      readingIds: [drop.id],
    };
  if (drop)
    return {
      ...view,
      state: 'faulty',
      because: say('checks.lost-over-under-load', { volts: volts(Math.abs(drop.volts)) }),
      readingIds: [drop.id],
    };
  const ohms = ohmsOf(stretch, caseFile);
  const judged = ohms && ohmsJudged(ohms);
  if (!ohms || !judged || judged === 'few') return view;
  return {
    ...view,
    state: judged === 'open' ? 'faulty' : 'suspect',
    because:
      judged === 'open'
        ? say('checks.open-key-off')
        : say('checks.key-off-more-than-wire', { ohms: plain(ohms.ohms ?? Infinity, 'Ω') }),
    readingIds: [ohms.id],
  };
}

/** What a stretch of wire is, by what is good before and behind it. */
export function segmentState(upstream: readonly Point[], downstream: readonly Point[]): SegmentState {
  if (downstream.some(({ good }) => good === true)) return 'proven'; // what arrives good has passed here
  if (!downstream.some(({ good }) => good === false)) return 'unknown';
  if (upstream.some(({ good }) => good === false)) return 'unknown'; // bad already before this segment
  return upstream.at(-1)?.good && downstream[0]?.good === false ? 'faulty' : 'suspect';
}
