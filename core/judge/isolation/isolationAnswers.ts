import { list, say, withoutRepeats, type Message } from '../../measure/message/index.ts';
import type { Lane } from '../../machine/places/index.ts';
import { briefSite, lanesOf, type Fault, type FaultKind } from '../../machine/fault/index.ts';

/** Volts against battery negative where the test is read, and all that would give them. */
export interface IsolationAnswer {
  lowestVolts: number;
  highestVolts: number;
  /** Whether wire, supply and unit are in order up to the plug if this is read. */
  sound: boolean;
  /** What gives it, each kind of fault once; beside a sound answer, what this test cannot tell from sound. */
  meanings: readonly Message[];
}

/** What a sound circuit gives may be off by this much in another car of the same kind. */
const SOUND_SLACK_VOLTS = 0.15;
/** What else a technician tells apart at a glance: nothing, something between, the reference, more than that. */
const NOTHING_VOLTS = 0.15;
const REFERENCE_VOLTS = [4.6, 5.3] as const;

/** What one fault makes a test read. */
export type Outcome = { volts: number; fault: Fault };

/**
 * Sorts what a test would read with every fault into what a technician can tell apart, from low to high.
 *
 * @param doubtVolts how far a sound sensor's own signal may be off `soundVolts`
 */
export function answersAround(
  lane: Lane,
  soundVolts: number,
  outcomes: readonly Outcome[],
  doubtVolts = 0,
): IsolationAnswer[] {
  const zoneOf = (volts: number) => zoneAround(volts, soundVolts, doubtVolts + SOUND_SLACK_VOLTS);
  const zones = new Map<number, Outcome[]>();
  for (const outcome of outcomes) {
    if (Number.isNaN(outcome.volts)) continue;
    const zone = zoneOf(outcome.volts);
    zones.set(zone, [...(zones.get(zone) ?? []), outcome]);
  }
  const soundZone = zoneOf(soundVolts);
  if (!zones.has(soundZone)) zones.set(soundZone, []);
  return [...zones]
    .sort(([a], [b]) => a - b)
    .map(([zone, group]) => {
      const sound = zone === soundZone;
      const volts = [
        ...group.map((outcome) => outcome.volts),
        ...(sound ? [soundVolts - doubtVolts, soundVolts + doubtVolts] : []),
      ];
      // Beside the sound answer stand all faults that this test does not touch: only those of the wire's own path count.
      const told = sound ? group.filter(({ fault }) => isOn(lane, fault)) : group;
      return {
        lowestVolts: Math.min(...volts),
        highestVolts: Math.max(...volts),
        sound,
        meanings: meaningsOf(told.map(({ fault }) => fault)),
      };
    });
}

/** What hangs on a supply is part of its path. */
const isOn = (lane: Lane, { site }: Fault): boolean => {
  const isSupply = site.at.in === 'neighbour' || site.at.in === 'rail';
  return lanesOf(site.at).includes(lane) || (lane === 'reference' && isSupply);
};

/** From low to high; the zone of the sound answer overrides the others. */
function zoneAround(volts: number, soundVolts: number, slackVolts: number): number {
  if (Math.abs(volts - soundVolts) <= slackVolts) return soundVolts;
  if (volts < NOTHING_VOLTS) return -1;
  const [low, high] = REFERENCE_VOLTS;
  if (volts > high) return 10;
  if (volts > low) return low + SOUND_SLACK_VOLTS;
  return volts < soundVolts ? NOTHING_VOLTS : low;
}

/** Each kind of fault once, with the wires or parts that it would be about. */
function meaningsOf(faults: readonly Fault[]): Message[] {
  const byKind = new Map<FaultKind, Message[]>();
  for (const { kind, site } of faults)
    byKind.set(kind, [...(byKind.get(kind) ?? []), briefSite(kind.id, site.at)]);
  return [...byKind].map(([{ name }, places]) =>
    say('isolation.meaning', { name, places: list(withoutRepeats(places), 'semicolons') }),
  );
}

/** Which of the answers a reading is; undefined where it is none that the circuit can give. */
export const answerRead = (answers: readonly IsolationAnswer[], volts: number): IsolationAnswer | undefined =>
  answers
    .filter(
      ({ lowestVolts, highestVolts }) =>
        volts >= lowestVolts - SOUND_SLACK_VOLTS && volts <= highestVolts + SOUND_SLACK_VOLTS,
    )
    .toSorted((a, b) => distance(a, volts) - distance(b, volts) || Number(b.sound) - Number(a.sound))[0];

const distance = ({ lowestVolts, highestVolts }: IsolationAnswer, volts: number): number =>
  Math.max(0, lowestVolts - volts, volts - highestVolts);
