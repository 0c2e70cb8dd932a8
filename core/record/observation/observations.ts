import type { Complaint } from '../code/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';
import type { PhysicalKindId } from '../../machine/kinds/index.ts';

/** Something that is looked at rather than measured: a question with yes, as it should be, or no. */
export interface Observation {
  id: ObservationId;
  question: string;
  /** As it should be, and as it should not. */
  yes: string;
  no: string;
  how: string;
  minutes: number;
  /** With the engine running, and the exhaust-gas valve opened. */
  valveOpen?: boolean;
}

export const OBSERVATION_IDS = [
  'plug-contacts',
  'hose',
  'hose-routing',
  'arm',
  'duct',
  'stumbles',
  'part-number',
  'code-low',
  'code-high',
  'code-supply',
  'code-fed',
] as const;
export type ObservationId = (typeof OBSERVATION_IDS)[number];

const CLEAR_AND_READ =
  'Note all codes and clear them. Plug connected, key off and on again, engine off; read them once more.';

const ALL: Record<
  ObservationId,
  Omit<Observation, 'id'> & { with?: PhysicalKindId; without?: PhysicalKindId }
> = {
  'plug-contacts': {
    question: 'Are the terminals of the sensor plug clean, tight and dry?',
    yes: 'clean and tight',
    no: 'green, spread, wet or pushed back',
    how: 'Key off, plug off. Look into both halves, pull gently at each wire, try each terminal with the matching pin.',
    minutes: 2,
  },
  hose: {
    question: 'Is the hose to the sensor on, sound and clear from end to end?',
    yes: 'sound and clear',
    no: 'off, split, kinked or blocked',
    how: 'Engine off. Follow it by hand from port to port, bend it, blow through it.',
    minutes: 3,
    with: 'hose',
  },
  'hose-routing': {
    question: 'Is each hose on its own port?',
    yes: 'each on its own',
    no: 'swapped',
    how: 'Engine off and cooled down. Follow the upstream hose to the port that the maker marks as the high side.',
    minutes: 3,
    with: 'hoses-swapped',
  },
  arm: {
    question: 'Does the arm at the sensor go all the way when it is worked as usual?',
    yes: 'it goes with it, stop to stop',
    no: 'it lags, stays or hangs loose',
    how: 'Key on, engine off. Work the pedal, lever or actuator and watch the arm at the sensor itself.',
    minutes: 2,
    with: 'linkage',
  },
  duct: {
    question: 'Does the sensor body sit on its seal, and is every joint of the duct behind it tight?',
    yes: 'seated and tight',
    no: 'air gets past',
    how: 'Engine off. Press the body home, feel the seal, look along the duct to the engine for splits and loose clamps.',
    minutes: 3,
    with: 'unmetered-air',
  },
  stumbles: {
    question: 'Does the engine stumble when the valve is forced open?',
    yes: 'it stumbles',
    no: 'nothing changes',
    how: 'Hold about 1,500 rpm and force the valve open for a few seconds.',
    minutes: 2,
    valveOpen: true,
    with: 'restricted-passages',
  },
  'part-number': {
    question: 'Is the part number the one that the maker gives for this machine?',
    yes: 'it is',
    no: 'another, or unreadable',
    how: 'Read it on the sensor itself and compare all of it, letters too.',
    minutes: 2,
  },
  'code-low': {
    question: 'Once cleared, does a code for this signal too low stay away?',
    yes: 'it stays away',
    no: 'it comes back',
    how: CLEAR_AND_READ,
    minutes: 2,
  },
  'code-high': {
    question: 'Once cleared, does a code for this signal too high stay away?',
    yes: 'it stays away',
    no: 'it comes back',
    how: CLEAR_AND_READ,
    minutes: 2,
  },
  'code-supply': {
    question: 'Once cleared, does a code for the sensor supply stay away?',
    yes: 'it stays away',
    no: 'it comes back',
    how: CLEAR_AND_READ,
    minutes: 2,
  },
  'code-fed': {
    question: 'With a known voltage fed into the signal wire, does every other code stay away?',
    yes: 'no other code is set',
    no: 'another code is set',
    how: 'Key off, plug off, clip a known voltage behind a resistor onto the signal wire, key on, read the codes. A line that carries telegrams sets another code then.',
    minutes: 4,
    // A track is no line that carries telegrams.
    without: 'linkage',
  },
};

export const observationOf = (id: ObservationId): Observation => {
  const { with: _with, without: _without, ...rest } = ALL[id];
  return { id, ...rest };
};

/** What can be looked at with a sensor of this family. */
export function observationsFor(family: FamilyId): Observation[] {
  const { causes } = familyOf(family);
  return OBSERVATION_IDS.filter((id) => {
    const { with: needed, without } = ALL[id];
    return (!needed || causes.includes(needed)) && !(without && causes.includes(without));
  }).map(observationOf);
}

/** Looks at what the control unit itself complains of; what they say follows from the circuit. */
export const CODE_LOOKS = {
  'code-low': { about: 'signal', reads: 'low' },
  'code-high': { about: 'signal', reads: 'high' },
  'code-supply': { about: 'supply', reads: 'off' },
} as const satisfies Partial<Record<ObservationId, Complaint>>;
export type CodeLookId = keyof typeof CODE_LOOKS;
export type PlainLookId = Exclude<ObservationId, CodeLookId>;

export const isCodeLook = (id: ObservationId): id is CodeLookId => id in CODE_LOOKS;

/** One answer on record. */
export interface ObservationMade<Id extends ObservationId = ObservationId> {
  id: string;
  observation: Id;
  /** As it should be. */
  holds: boolean;
}
