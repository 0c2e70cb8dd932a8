import { say, type Message } from '../../measure/message/index.ts';
import { OBSERVATION_IDS, type ObservationId } from './observationIds.ts';
import type { Complaint } from '../code/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';
import type { PhysicalKindId } from '../../machine/kinds/index.ts';

/** Something that is looked at rather than measured: a question with yes, as it should be, or no. */
export interface Observation {
  id: ObservationId;
  question: Message;
  /** As it should be, and as it should not. */
  yes: Message;
  no: Message;
  how: Message;
  minutes: number;
  /** With the engine running, and the exhaust-gas valve opened. */
  valveOpen?: boolean;
}

const CLEAR_AND_READ = say('looks.note-all-codes-clear-them');

const ALL: Record<
  ObservationId,
  Omit<Observation, 'id'> & { with?: PhysicalKindId; without?: PhysicalKindId }
> = {
  'plug-contacts': {
    question: say('looks.terminals-sensor-plug-clean-tight'),
    yes: say('looks.clean-tight'),
    no: say('looks.green-spread-wet-pushed-back'),
    how: say('looks.key-off-plug-off-look'),
    minutes: 2,
  },
  hose: {
    question: say('looks.hose-sensor-sound-clear-end'),
    yes: say('looks.sound-clear'),
    no: say('looks.off-split-kinked-blocked'),
    how: say('looks.engine-off-follow-hand-port'),
    minutes: 3,
    with: 'hose',
  },
  'hose-holds': {
    question: say('looks.hose-holds-pump'),
    yes: say('looks.it-holds'),
    no: say('looks.it-falls'),
    how: say('looks.plug-far-end-pump-hose'),
    minutes: 4,
    with: 'hose',
  },
  'hose-routing': {
    question: say('looks.each-hose-own-port'),
    yes: say('looks.each-own'),
    no: say('looks.swapped'),
    how: say('looks.engine-off-cooled-down-follow'),
    minutes: 3,
    with: 'hoses-swapped',
  },
  arm: {
    question: say('looks.does-arm-sensor-go-all'),
    yes: say('looks.goes-stop-stop'),
    no: say('looks.lags-stays-hangs-loose'),
    how: say('looks.key-engine-off-work-pedal'),
    minutes: 2,
    with: 'linkage',
  },
  duct: {
    question: say('looks.does-sensor-body-sit-seal'),
    yes: say('looks.seated-tight'),
    no: say('looks.air-gets-past'),
    how: say('looks.engine-off-press-body-home'),
    minutes: 3,
    with: 'unmetered-air',
  },
  element: {
    question: say('looks.hot-element-clean'),
    yes: say('looks.clean'),
    no: say('looks.oil-dust-fluff'),
    how: say('looks.meter-out-look-against-light'),
    minutes: 5,
    // Only what is flowed through has one.
    with: 'unmetered-air',
  },
  stumbles: {
    question: say('looks.does-engine-stumble-when-valve'),
    yes: say('looks.it-stumbles'),
    no: say('looks.nothing-changes'),
    how: say('looks.hold-about-1-500-rpm'),
    minutes: 2,
    valveOpen: true,
    with: 'restricted-passages',
  },
  'valve-holds': {
    question: say('looks.valve-opens-and-holds'),
    yes: say('looks.opens-and-holds'),
    no: say('looks.stays-or-falls-shut'),
    how: say('looks.pump-on-valve-itself'),
    minutes: 4,
    with: 'restricted-passages',
  },
  solenoid: {
    question: say('looks.valve-fed-and-switched'),
    yes: say('looks.fed-and-switched'),
    no: say('looks.not-fed-or-switched'),
    how: say('looks.test-light-across-plug-of-valve'),
    minutes: 5,
    with: 'restricted-passages',
  },
  'part-number': {
    question: say('looks.part-number-one-maker-gives'),
    yes: say('looks.it-is'),
    no: say('looks.another-unreadable'),
    how: say('looks.read-sensor-itself-compare-all'),
    minutes: 2,
  },
  'code-low': {
    question: say('looks.once-cleared-does-code-signal'),
    yes: say('looks.stays-away'),
    no: say('looks.comes-back'),
    how: CLEAR_AND_READ,
    minutes: 2,
  },
  'code-high': {
    question: say('looks.once-cleared-does-code-signal-too'),
    yes: say('looks.stays-away'),
    no: say('looks.comes-back'),
    how: CLEAR_AND_READ,
    minutes: 2,
  },
  'code-supply': {
    question: say('looks.once-cleared-does-code-sensor'),
    yes: say('looks.stays-away'),
    no: say('looks.comes-back'),
    how: CLEAR_AND_READ,
    minutes: 2,
  },
  'code-fed': {
    question: say('looks.known-voltage-fed-into-signal'),
    yes: say('looks.no-other-code-set'),
    no: say('looks.another-code-set'),
    how: say('looks.key-off-plug-off-clip'),
    minutes: 4,
    // A track is no line that carries telegrams.
    without: 'linkage',
  },
};

/** A look with its question, its two answers and how it is done. */
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

/** Whether the unit answers it, and so the circuit. */
export const isCodeLook = (id: ObservationId): id is CodeLookId => id in CODE_LOOKS;

/** One answer on record. */
export interface ObservationMade<Id extends ObservationId = ObservationId> {
  id: string;
  observation: Id;
  /** As it should be. */
  holds: boolean;
}
