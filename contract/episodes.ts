import { changesReadings } from '@lettura/core/record/workDone';
import { standingReadings, type Reading } from './readings.ts';

export type StandingReading = ReturnType<typeof standingReadings>[number];
export type AmbientReading = Extract<Reading, { kind: 'ambient' }>;
export type WorkDone = Extract<Reading, { kind: 'work' }>;

/** A stretch of the record over which the machine was one and the same: from one work on it to the next. */
export interface Episode {
  /** What it began with; none for the machine as it came. */
  works: readonly WorkDone[];
  /** When the first work was done; undefined for the machine as it came. */
  fromInstant: string | undefined;
  /** When the next one begins. */
  untilInstant: string | undefined;
  readings: readonly StandingReading[];
  /** The last one given until its end, in whichever episode: a repair changes no weather. */
  ambient: AmbientReading | undefined;
}

/**
 * The record in its episodes, oldest first; there is always one. Works between which nothing was read are one repair, and
 * one that changes no voltage (codes cleared, a relearn) begins none.
 */
export function episodesOf(readings: readonly Reading[]): readonly [Episode, ...Episode[]] {
  type Building = { works: WorkDone[]; readings: StandingReading[] };
  const all: [Building, ...Building[]] = [{ works: [], readings: [] }];
  const begun = momentsBegun(readings);
  const inOrder = standingReadings(readings).sort((a, b) => begun(a).localeCompare(begun(b)));
  for (const reading of inOrder) {
    const current = all.at(-1) ?? all[0];
    if (reading.kind === 'work' && changesReadings(reading.work)) {
      const untouched = current.works.length > 0 && !current.readings.some(isMeasured);
      if (untouched) current.works.push(reading);
      else all.push({ works: [reading], readings: [] });
    } else current.readings.push(reading);
  }
  const [first, ...later] = all;
  const begin = ({ works }: Building) => works[0]?.takenAt;
  const ambientUntil = (i: number) =>
    all
      .slice(0, i + 1)
      .flatMap((one) => one.readings)
      .findLast((reading) => reading.kind === 'ambient');
  const episode = (one: Building, i: number): Episode => ({
    ...one,
    ambient: ambientUntil(i),
    fromInstant: begin(one),
    untilInstant: all[i + 1] && begin(all[i + 1]!),
  });
  return [episode(first, 0), ...later.map((one, i) => episode(one, i + 1))];
}

/** When a line was first taken: whoever corrects it later has not read the machine again. */
function momentsBegun(readings: readonly Reading[]): (reading: Reading) => string {
  const byId = new Map(readings.map((reading) => [reading.id, reading]));
  return (reading) => {
    let first = reading;
    for (let before = first; before.supersedes; first = before) {
      const replaced = byId.get(before.supersedes);
      if (!replaced) break;
      before = replaced;
    }
    return first.takenAt;
  };
}

/** Ambient pressure is of the weather, and a note of work is none of the machine. */
const isMeasured = ({ kind }: StandingReading): boolean => kind !== 'ambient' && kind !== 'work';

export const lastEpisode = (readings: readonly Reading[]): Episode => {
  const episodes = episodesOf(readings);
  return episodes.at(-1) ?? episodes[0];
};

/** Everything that was read before the last work, as one: a point that was not read again since an earlier work still counts. */
export function beforeLastWork(readings: readonly Reading[]): Episode {
  const episodes = episodesOf(readings);
  const earlier = episodes.slice(0, -1);
  return {
    works: [],
    fromInstant: undefined,
    untilInstant: episodes.at(-1)?.fromInstant,
    readings: earlier.flatMap((one) => one.readings),
    ambient: earlier.at(-1)?.ambient,
  };
}
