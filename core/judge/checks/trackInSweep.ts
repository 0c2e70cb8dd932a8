import {
  list,
  measured,
  say,
  verbatim,
  type Message,
  type MessageList,
} from '../../measure/message/index.ts';
import { faultPlaces, type SweepFinding } from '../../recording/sweep/index.ts';
import type { CaseFile, SweepOnRecord } from './caseFile.ts';

/** The recordings, each once. */
export const namesOf = (sweeps: readonly SweepOnRecord[]): MessageList =>
  list(
    [...new Set(sweeps.map(({ name }) => name))].map((name) => say('sweep.named', { name: verbatim(name) })),
  );

/** Whether it lies at a place of the travel. */
export const placed = ({ kind }: SweepFinding): boolean => kind === 'dropout' || kind === 'pair';

/** What the recordings have against one track, with where; nothing where they have none. */
export function ofTrack(
  faults: readonly SweepFinding[],
  use: 'signal' | 'second-signal',
  sweeps: readonly SweepOnRecord[],
  { profile }: Pick<CaseFile, 'profile'>,
): Message[] {
  const [first] = faults;
  if (!first) return [];
  const two = sweeps.some(({ uses }) => uses.includes('second-signal'));
  const track = two
    ? say('sweep.track', { number: use === 'second-signal' ? 2 : 1 })
    : say('sweep.the-signal');
  const parts = first.kind === 'pair';
  const recorded = (sentence: Message) => say('checks.recorded-in', { names: namesOf(sweeps), sentence });
  const places = faults.flatMap(({ position }) => (position === undefined ? [] : [position]));
  if (places.length === 0) return [recorded(first.sentence)];
  const at = (position: number) => measured(position, profile.measures, 'with-basis');
  const middle = places.reduce((sum, place) => sum + place, 0) / places.length;
  switch (faultPlaces(places, profile)) {
    case 'once':
      return [recorded(say('checks.once-only-record-again-same', { sentence: first.sentence }))];
    case 'same-place':
      return [
        recorded(
          say('checks.each-times-passes-worn-there', { track, parts, at: at(middle), times: places.length }),
        ),
      ];
    case 'scattered':
      return [
        recorded(
          say('checks.times-anywhere-between-loose-contact', {
            track,
            parts,
            times: places.length,
            from: at(Math.min(...places)),
            to: at(Math.max(...places)),
          }),
        ),
      ];
    case 'unclear':
      return [
        recorded(
          say('checks.times-near-record-again-slower', {
            track,
            parts,
            times: places.length,
            at: at(middle),
          }),
        ),
      ];
  }
}
