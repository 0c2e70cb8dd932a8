import { formatWithBasis } from '../../measure/quantity/index.ts';
import { faultPlaces, type ChannelUse, type SweepFinding } from '../../recording/sweep/index.ts';
import type { CaseFile, SweepOnRecord } from './caseFile.ts';
import type { Remark } from './finding.ts';

/**
 * What the recordings show to be wrong, all of them together: a newer one does not take the place of a better one. A fault that
 * keeps its place is in the track, which alone knows where it stands; one that turns up anywhere is in a contact or a wire,
 * which does not. Only a recording whose signal is plausible volts is evidence.
 */
export function sweepFaults(caseFile: Pick<CaseFile, 'sweeps' | 'profile' | 'pressureUnit'>): Remark[] {
  const telling = caseFile.sweeps.filter(speaksOfSensor);
  const faults = telling.flatMap((sweep) =>
    sweep.findings.filter(({ weight }) => weight === 'fault').map((fault) => ({ fault, sweep })),
  );
  const tracks = (['signal', 'second-signal'] as const).flatMap((use) =>
    (['dropout', 'pair'] as const).flatMap((kind) => {
      const own = faults.filter(({ fault, sweep }) => fault.kind === kind && useOf(fault, sweep) === use);
      const since = telling
        .slice(1 + telling.findLastIndex((sweep) => own.some((one) => one.sweep === sweep)))
        .filter(({ uses }) => uses.includes(use));
      return ofTrack(
        own.map(({ fault }) => fault),
        use,
        own.map(({ sweep }) => sweep),
        caseFile,
      ).map((sentence) =>
        since.length === 0
          ? sentence
          : `${sentence} Recorded since, ${since.map(({ name }) => `“${name}”`).join(', ')} ${since.length > 1 ? 'show' : 'shows'} nothing of it.`,
      );
    }),
  );
  const others = faults
    .filter(({ fault }) => !placed(fault))
    .map(({ fault, sweep }) => `Recorded in “${sweep.name}”: ${fault.sentence}`);
  return [...tracks, ...others].map((sentence) => ({ sentence, readingIds: [] }));
}

/** Some channel of it is the signal, and could be read as volts. */
export const speaksOfSensor = ({ uses, findings }: SweepOnRecord): boolean =>
  uses.includes('signal') && !findings.some(({ kind }) => kind === 'not-looked');

const useOf = ({ kind, channel }: SweepFinding, { uses }: SweepOnRecord): ChannelUse =>
  kind === 'pair' ? 'second-signal' : uses[channel] === 'second-signal' ? 'second-signal' : 'signal';

const placed = ({ kind }: SweepFinding): boolean => kind === 'dropout' || kind === 'pair';

function ofTrack(
  faults: readonly SweepFinding[],
  use: 'signal' | 'second-signal',
  sweeps: readonly SweepOnRecord[],
  { profile, pressureUnit }: Pick<CaseFile, 'profile' | 'pressureUnit'>,
): string[] {
  const [first] = faults;
  if (!first) return [];
  const two = sweeps.some(({ uses }) => uses.includes('second-signal'));
  const track = two ? (use === 'second-signal' ? 'Track 2' : 'Track 1') : 'The signal';
  const does = first.kind === 'pair' ? 'parts from its pair' : 'drops out';
  const names = [...new Set(sweeps.map(({ name }) => `“${name}”`))];
  const recorded = (sentence: string) => `Recorded in ${names.join(', ')}: ${sentence}`;
  const places = faults.flatMap(({ position }) => (position === undefined ? [] : [position]));
  if (places.length === 0) return [recorded(first.sentence)];
  const at = (position: number) => formatWithBasis(position, profile.measures, pressureUnit);
  const middle = places.reduce((sum, place) => sum + place, 0) / places.length;
  switch (faultPlaces(places, profile)) {
    case 'once':
      return [
        recorded(
          `${first.sentence} Once only: record it again. The same place twice is the track; elsewhere it is a contact or a wire.`,
        ),
      ];
    case 'same-place':
      return [
        recorded(
          `${track} ${does} at ${at(middle)} each of the ${places.length} times that it passes: worn there, inside the sensor. A loose wire does not know where the sensor stands.`,
        ),
      ];
    case 'scattered':
      return [
        recorded(
          `${track} ${does} ${places.length} times, anywhere between ${at(Math.min(...places))} and ${at(Math.max(...places))}: a loose contact or wire rather than the track. Move the loom while it is recorded.`,
        ),
      ];
    case 'unclear':
      return [
        recorded(
          `${track} ${does} ${places.length} times near ${at(middle)}: record it again, slower, to see whether it keeps its place.`,
        ),
      ];
  }
}
