import {
  list,
  measured,
  say,
  verbatim,
  type Message,
  type MessageList,
} from '../../measure/message/index.ts';
import { faultPlaces, type ChannelUse, type SweepFinding } from '../../recording/sweep/index.ts';
import type { CaseFile, SweepOnRecord } from './caseFile.ts';
import type { Remark } from './finding.ts';

/**
 * What the recordings show to be wrong, all of them together: a newer one does not take the place of a better one. A fault that
 * keeps its place is in the track, which alone knows where it stands; one that turns up anywhere is in a contact or a wire,
 * which does not. Only a recording whose signal is plausible volts is evidence.
 */
export function sweepFaults(caseFile: Pick<CaseFile, 'sweeps' | 'profile'>): Remark[] {
  const telling = caseFile.sweeps.filter(speaksOfSensor);
  const faults = telling.flatMap((sweep) =>
    sweep.findings.filter(({ weight }) => weight === 'fault').map((fault) => ({ fault, sweep })),
  );
  const tracks = (['signal', 'second-signal'] as const).flatMap((use) =>
    (['dropout', 'pair'] as const).flatMap((kind) => {
      const own = faults.filter(({ fault, sweep }) => fault.kind === kind && useOf(fault, sweep) === use);
      const since = telling
        .slice(1 + telling.findLastIndex((sweep) => own.some((one) => one.sweep === sweep)))
        .filter((sweep) => sweep.uses.includes(use) && speaksOfTravel(sweep));
      return ofTrack(
        own.map(({ fault }) => fault),
        use,
        own.map(({ sweep }) => sweep),
        caseFile,
      ).map((sentence) =>
        since.length === 0
          ? sentence
          : say('checks.recorded-since-nothing', {
              sentence,
              names: namesOf(since),
              count: since.length,
            }),
      );
    }),
  );
  const others = faults
    .filter(({ fault }) => !placed(fault))
    .map(({ fault, sweep }) =>
      say('checks.recorded-in', { names: namesOf([sweep]), sentence: fault.sentence }),
    );
  return [...tracks, ...others].map((sentence) => ({ sentence, readingIds: [] }));
}

const namesOf = (sweeps: readonly SweepOnRecord[]): MessageList =>
  list(
    [...new Set(sweeps.map(({ name }) => name))].map((name) => say('sweep.named', { name: verbatim(name) })),
  );

/** Some channel of it is the signal, and could be read as volts. */
const speaksOfSensor = ({ uses, findings }: SweepOnRecord): boolean =>
  uses.includes('signal') && !findings.some(({ kind }) => kind === 'not-looked');

/** Nothing was moved, or the line is none whose voltage would say where the sensor stands. */
const NO_TRAVEL: readonly SweepFinding['kind'][] = ['still', 'telegrams', 'telegrams-unread', 'line-held'];

/** It would have shown a place of the travel that is worn. */
export const speaksOfTravel = (sweep: SweepOnRecord): boolean =>
  speaksOfSensor(sweep) && !sweep.findings.some(({ kind }) => NO_TRAVEL.includes(kind));

const useOf = ({ kind, channel }: SweepFinding, { uses }: SweepOnRecord): ChannelUse =>
  kind === 'pair' ? 'second-signal' : uses[channel] === 'second-signal' ? 'second-signal' : 'signal';

const placed = ({ kind }: SweepFinding): boolean => kind === 'dropout' || kind === 'pair';

function ofTrack(
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
