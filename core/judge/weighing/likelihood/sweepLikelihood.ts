import { speaksOfTravel, type CaseFile } from '../../checks/index.ts';
import { faultPlaces, type ChannelUse } from '../../../recording/sweep/index.ts';
import { effectsOf, type Effect } from '../../../machine/fault/index.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';
import type { WeighedReading } from '../hypotheses/weighedCase.ts';
import { TOLERANCES } from '../hypotheses/weighedCase.ts';

export const SWEEP_DRIVE = 'sweep';

type Dropped = '' | '1' | '2' | '1 2';
/** What a recording can show of the tracks: which of them dropped out, and whether they stand still on their way and jump. */
export type SweepOutcome = Dropped | `${Dropped}+jumps`;
export type Track = 1 | 2;
/** What was recorded, and of which tracks: of the others it says nothing. */
export interface SweepSeen {
  outcome: SweepOutcome;
  tracks: readonly Track[];
}
const BOTH_TRACKS: readonly Track[] = [1, 2];
const DROPPED: readonly Dropped[] = ['', '1', '2', '1 2'];
export const SWEEP_OUTCOMES: readonly SweepOutcome[] = [
  ...DROPPED,
  ...DROPPED.map((dropped): SweepOutcome => `${dropped}+jumps`),
];
/** Whether it stands still on its way and jumps. */
export const jumpsIn = (outcome: SweepOutcome): boolean => outcome.endsWith('jumps');

/** A slow sweep that passes a dead spot shows it this often, and shows one where there is none that often. */
const SHOWN = 0.96;
const IMAGINED = 0.015;
/** What sticks on its way jumps in a slow sweep so often; what does not, looks like it that often. */
const SEEN_JUMPING = 0.9;
const JUMPS_OTHERWISE = 0.01;

/**
 * What the recordings show of the tracks, all together; undefined where nothing was moved in any, or there is none. A dropout that
 * turns up anywhere is no dead spot: the sheet says that it is a contact, and it must not weigh for the track.
 */
export function sweepOutcome({
  sweeps,
  profile,
}: Pick<CaseFile, 'sweeps' | 'profile'>): SweepSeen | undefined {
  const moved = sweeps.filter(speaksOfTravel);
  if (moved.length === 0) return undefined;
  const tracks = BOTH_TRACKS.filter((track) => moved.some(({ uses }) => uses.includes(USE_OF[track])));
  const dropped = tracks.filter((track) => {
    const own = moved.flatMap(({ findings, uses }) =>
      findings.filter(
        ({ kind, weight, channel }) =>
          kind === 'dropout' && weight === 'fault' && uses[channel] === USE_OF[track],
      ),
    );
    const places = own.flatMap(({ position }) => (position === undefined ? [] : [position]));
    return own.length > 0 && faultPlaces(places, profile) !== 'scattered';
  });
  const hasJumped = moved.some(({ findings }) => findings.some(({ kind }) => kind === 'jump'));
  return { outcome: `${dropped.join(' ') as Dropped}${hasJumped ? '+jumps' : ''}`, tracks };
}

const USE_OF: Record<Track, ChannelUse> = { 1: 'signal', 2: 'second-signal' };

/** How likely an outcome of a recording of these tracks is for one thing that may be wrong. */
export function sweepLikelihood(
  outcome: SweepOutcome,
  { fault }: SizedHypothesis,
  tracks: readonly Track[] = BOTH_TRACKS,
): number {
  const effects = fault ? effectsOf([fault]) : [];
  const dead = effects.find((effect) => effect.on === 'element' && effect.does === 'dead-spot');
  const jumpy = effects.some(sticksOnItsWay) ? SEEN_JUMPING : JUMPS_OTHERWISE;
  return tracks.reduce<number>(
    (likelihood, track) => {
      const dropped = outcome.includes(String(track));
      const drops =
        dead?.on === 'element' && dead.does === 'dead-spot' && dead.track === track ? SHOWN : IMAGINED;
      return likelihood * (dropped ? drops : 1 - drops);
    },
    jumpsIn(outcome) ? jumpy : 1 - jumpy,
  );
}

/** It comes out of where it sticks: what goes no farther does not jump. */
const sticksOnItsWay = (effect: Effect): boolean =>
  effect.on === 'curve' && Number.isFinite(effect.fromShare) && Number.isFinite(effect.toShare);

/** The recording as a reading: it speaks of the track alone, whatever the quantity was. */
export function sweepReading(
  { outcome, tracks }: SweepSeen,
  sized: readonly SizedHypothesis[],
): WeighedReading {
  const numbers = new Map<number, number>();
  const lists: Float64Array[] = [];
  const listOf = Int32Array.from(sized, (one) => {
    const likelihood = sweepLikelihood(outcome, one, tracks);
    const known =
      numbers.get(likelihood) ?? lists.push(new Float64Array(TOLERANCES.length).fill(likelihood)) - 1;
    numbers.set(likelihood, known);
    return known;
  });
  return { id: SWEEP_DRIVE, drive: SWEEP_DRIVE, lists, listOf, floor: 0 };
}
