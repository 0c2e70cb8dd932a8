import { say, type Message } from '../../../measure/message/index.ts';
import { type AnyEvidence } from '../../../record/evidence/index.ts';
import {
  isMotor,
  isReturn,
  keyOn,
  laneSaid,
  placeSaid,
  sameDrive,
  type Lane,
  type MachineState,
  type Place,
} from '../../../machine/places/index.ts';
import { sendsPulses } from '../../../measure/transfer/index.ts';
import { movedState } from '../../../machine/family/index.ts';
import { isGrounded, ohmsToGround, supplyIsGood, type CaseFile } from '../../checks/index.ts';
import { NEIGHBOURS_OFF, toGround, type Candidate } from '../outlook/candidates.ts';
import type { Decision } from '../posterior/decisions.ts';
import { lanesOfCause } from '../posterior/cause.ts';
import { isAt, besideJoint } from './besideJoint.ts';

/** One thing that must be on record before a part may be named. */
export interface GateItem {
  label: Message;
  /** Refuted: it was read, and is not as it must be. */
  state: 'proven' | 'missing' | 'refuted';
  /** The reading that would show it. */
  reading: Candidate;
}

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const PLUG_OFF: MachineState = { engine: 'koeo', plug: 'unplugged' };

/** Of sound units the supplies of sensors stand up to this share off what is printed (our own judgement: twice what most of them do). */
const MAKERS_SUPPLY_SHARE = 0.04;

/** What has to be good at the plug under load, as far as the body has it. */
const SUPPLIES = ['reference', 'second-reference', 'battery-feed', 'return', 'second-return'] as const;

/**
 * What must have been read before a verdict on a decision, whatever the weights say: a part is condemned only with its supply
 * and return good at its plug, loaded, and its signal seen there; a wire, between two readings of it; a control unit, by its own
 * terminals.
 */
export function gateItems(
  { class: sort, cause }: Pick<Decision, 'class' | 'cause'>,
  caseFile: CaseFile,
  wires: readonly Lane[],
): GateItem[] {
  const { family, profile, readings, isolation } = caseFile;
  // By the very limits that the lanes are drawn with: nothing is good in one place and suspect in the other.
  const isGood = (reading: AnyEvidence, lane: Lane) =>
    reading.kind === 'wire' && supplyIsGood(lane, reading, caseFile);
  const taken = [...readings, ...isolation];
  const has = (lane: Lane) => wires.includes(lane);
  const newest = (lane: Lane, place: Place, state: MachineState) =>
    taken.findLast((one) => isAt(one, lane, place, state));
  const read = (lane: Lane, place: Place, label: Message, state = KOEO): GateItem => ({
    label,
    state: newest(lane, place, state) ? 'proven' : 'missing',
    reading: {
      // Of pulses the volts are an average that tells little.
      target:
        lane === 'signal' && sendsPulses(profile)
          ? { kind: profile.transfer.form, lane, place }
          : { kind: 'wire', lane, place },
      state,
    },
  });
  const good = (lane: Lane): GateItem => {
    const item = read(lane, 'plug', say('gate.good-at-plug', { lane: laneSaid(lane) }));
    const loaded = newest(lane, 'plug', KOEO);
    if (!loaded || isGood(loaded, lane)) return item;
    // A sensor may pull its own supply down: then it is back as soon as the plug is off.
    const unloaded = newest(lane, 'plug', PLUG_OFF);
    const label = say('gate.supply-back');
    if (isReturn(lane)) return { ...item, state: 'refuted' };
    if (!unloaded) return read(lane, 'plug', label, PLUG_OFF);
    const isBack = isGood(unloaded, lane);
    return { ...item, label, state: isBack ? 'proven' : 'refuted' };
  };
  /** With the other sensors off a supply that comes back was pulled down by one of them. */
  const stillWrong = (lane: Lane): GateItem => {
    const item = read(lane, 'plug', say('gate.neighbours-off'), NEIGHBOURS_OFF);
    const alone = newest(lane, 'plug', NEIGHBOURS_OFF);
    return alone && isGood(alone, lane) ? { ...item, state: 'refuted' } : item;
  };
  /** What arrives and what the unit makes of it are of one moment: at rest a pin tells nothing of what was shown while it moved. */
  const besideLive = (lane: Lane): GateItem | undefined => {
    const shown = taken.filter((one) => keyOn(one.state) && isLiveOf(one, lane));
    const isBeside = ({ state }: AnyEvidence) =>
      taken.some(
        (one) => one.kind === 'wire' && isAt(one, lane, 'unit', state) && sameDrive(one.state, state),
      );
    const last = shown.at(-1);
    return (
      last && {
        label: say('gate.unit-terminal-beside-live'),
        state: shown.some(isBeside) ? 'proven' : 'missing',
        reading: { target: { kind: 'wire', lane, place: 'unit' }, state: last.state },
      }
    );
  };
  /** A supply within what sound units give condemns none of them, however sure the weights are. */
  const wellOff = (lane: Lane): GateItem[] => {
    const own = newest(lane, 'unit', KOEO);
    const { nominalReferenceVolts: nominal } = caseFile.profile;
    const isNear = own?.kind === 'wire' && Math.abs(own.volts - nominal) < MAKERS_SUPPLY_SHARE * nominal;
    const label = say('gate.supply-well-off', { lane: laneSaid(lane) });
    return isNear ? [{ ...read(lane, 'unit', label), state: 'refuted' }] : [];
  };
  switch (sort) {
    case 'sensor':
    case 'wrong-part':
    case 'nothing': {
      const moved = movedState(family);
      return [
        ...SUPPLIES.filter(has).map(good),
        read('signal', 'plug', say('gate.signal-seen')),
        // Much is right at rest only.
        ...(sort === 'nothing' && moved
          ? [read('signal', 'plug', say('gate.signal-seen-moving'), moved)]
          : []),
        // What a wire loses on its way changes the air temperature that the unit takes it for, and nothing else shows it.
        ...(sort === 'nothing' && caseFile.companion?.kind === 'temperature' && has('second-signal')
          ? [
              read('second-signal', 'plug', say('gate.second-signal-seen')),
              read('second-signal', 'unit', say('gate.second-signal-arrives')),
            ]
          : []),
      ];
    }
    case 'control-unit': {
      const [lane = 'return'] = lanesOfCause(cause);
      if (!has(lane)) return [];
      const own = read(lane, 'unit', say('gate.unit-terminal'));
      if (cause.of === 'unit-does-not-read') return [besideLive(lane) ?? own];
      if (cause.of !== 'unit-gives-no-reference') return [own];
      return [
        own,
        ...wellOff(lane),
        ...(lane === 'reference' ? [stillWrong(lane)] : []),
        notHeldDown(lane, caseFile),
      ];
    }
    case 'wire': {
      // Each of them is good on the near side of its contact.
      if (cause.of === 'plug-contacts')
        return [...SUPPLIES.filter(has).map(good), read('signal', 'plug', say('gate.signal-seen'))];
      if (cause.of === 'wire-to-ground' && cause.wire !== 'battery-feed')
        return wires.includes(cause.wire) ? [heldDown(cause.wire, caseFile)] : [];
      if (cause.of !== 'wire' || !wires.includes(cause.wire) || isMotor(cause.wire)) return [];
      // On either side of the stretch that is accused.
      return besideJoint(cause.joint).map((place) =>
        read(cause.wire, place, say('gate.read-at', { place: placeSaid(place) })),
      );
    }
    case 'physical':
    case 'unlisted':
      return [];
  }
}

/** Live data that the unit makes of this input. */
const isLiveOf = (one: AnyEvidence, lane: Lane): boolean =>
  one.kind === 'scan' ? lane === 'signal' : one.kind === 'live-volts' && one.lane === lane;

/** What a resistance does to a supply that others hang on, a touch does as well: ohms with nothing powered tell them apart. */
function heldDown(lane: Lane, caseFile: CaseFile): GateItem {
  const reading = ohmsToGround(lane, caseFile);
  return {
    label: say('gate.ohms-to-ground', { lane: laneSaid(lane) }),
    state: reading ? (reading.ohms === null ? 'refuted' : 'proven') : 'missing',
    reading: toGround(lane),
  };
}

/** A unit gives too little only where nothing holds its wire down. */
function notHeldDown(lane: Lane, caseFile: CaseFile): GateItem {
  const reading = ohmsToGround(lane, caseFile);
  return {
    label: say('gate.not-grounded', { lane: laneSaid(lane) }),
    state: reading ? (isGrounded(reading) ? 'refuted' : 'proven') : 'missing',
    reading: toGround(lane),
  };
}
