import { formatWithBasis } from '../quantity/index.ts';
import type { SweepFinding } from '../sweep/index.ts';
import type { CaseFile, SweepOnRecord } from './caseFile.ts';
import type { Remark } from './finding.ts';

/** Two passes this near each other, as a share of the sensor's range, went over the same place. */
const SAME_PLACE_SHARE = 0.05;
/** Further apart than this they did not. */
const APART_SHARE = 0.12;

/**
 * What the newest recording shows to be wrong. A fault that keeps its place is in the track, which alone knows where it
 * stands; one that turns up anywhere is in a contact or a wire, which does not.
 */
export function sweepFaults(caseFile: Pick<CaseFile, 'sweeps' | 'profile' | 'pressureUnit'>): Remark[] {
  const newest = caseFile.sweeps.findLast(({ uses }) => uses.includes('signal'));
  if (!newest) return [];
  const faults = newest.findings.filter(({ weight }) => weight === 'fault');
  const tracks = [...new Set(faults.map(({ channel }) => channel))].flatMap((channel) =>
    ofTrack(
      faults.filter((fault) => fault.channel === channel && placed(fault)),
      newest,
      caseFile,
    ),
  );
  const others = faults.filter((fault) => !placed(fault));
  return [...tracks, ...others.map(({ sentence }) => sentence)].map((sentence) => ({
    sentence: `Recorded in “${newest.name}”: ${sentence}`,
    readingIds: [],
  }));
}

const placed = ({ kind }: SweepFinding): boolean => kind === 'dropout' || kind === 'pair';

function ofTrack(
  faults: readonly SweepFinding[],
  { uses }: SweepOnRecord,
  { profile, pressureUnit }: Pick<CaseFile, 'profile' | 'pressureUnit'>,
): string[] {
  const [first] = faults;
  if (!first) return [];
  const two = uses.includes('second-signal');
  const track = two ? (uses[first.channel] === 'second-signal' ? 'Track 2' : 'Track 1') : 'The signal';
  const does = first.kind === 'pair' ? 'parts from its pair' : 'drops out';
  const places = faults.flatMap(({ position }) => (position === undefined ? [] : [position]));
  const spread = (Math.max(...places) - Math.min(...places)) / (profile.highest - profile.lowest);
  const at = (position: number) => formatWithBasis(position, profile.measures, pressureUnit);
  const middle = places.reduce((sum, place) => sum + place, 0) / places.length;
  if (places.length < 2)
    return [
      `${first.sentence} Once only: record it again. The same place twice is the track; elsewhere it is a contact or a wire.`,
    ];
  if (spread <= SAME_PLACE_SHARE)
    return [
      `${track} ${does} at ${at(middle)} each of the ${places.length} times that it passes: worn there, inside the sensor. A loose wire does not know where the sensor stands.`,
    ];
  if (spread >= APART_SHARE)
    return [
      `${track} ${does} ${places.length} times, anywhere between ${at(Math.min(...places))} and ${at(Math.max(...places))}: a loose contact or wire rather than the track. Move the loom while it is recorded.`,
    ];
  return [
    `${track} ${does} ${places.length} times near ${at(middle)}: record it again, slower, to see whether it keeps its place.`,
  ];
}
