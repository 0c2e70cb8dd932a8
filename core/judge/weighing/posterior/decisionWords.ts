import { LANE_WORDS, type Lane } from '../../../machine/places/index.ts';
import { faultKind, JOINT_WORDS } from '../../../machine/fault/index.ts';
import { lowerFirst, upperFirst } from '../../wording/index.ts';
import { lanesOfCause, parseCause, type Cause } from './cause.ts';

export interface DecisionWords {
  title: string;
  /** What to do once it is proven. */
  remedy: string;
  /** The wires that it is about, where it is about some. */
  lanes: readonly Lane[];
}

/** A stored decision in words, without its job. Undefined for a name that is none. */
export function decisionWords(id: string): DecisionWords | undefined {
  const cause = parseCause(id);
  return cause && causeWords(cause);
}

export function causeWords(cause: Cause): DecisionWords {
  const lanes = lanesOfCause(cause);
  const wires = lanes.map((lane) => LANE_WORDS[lane]).join(' and ');
  const say = (title: string, remedy: string): DecisionWords => ({ title: upperFirst(title), remedy, lanes });
  switch (cause.of) {
    case 'wire':
      return cause.joint === 'plug'
        ? say(
            `${wires}: bad contact in the sensor plug`,
            'Clean and tension the terminal, look behind it for a broken crimp, then read again.',
          )
        : say(
            `${wires} wire ${JOINT_WORDS[cause.joint]}`,
            `Repair it ${JOINT_WORDS[cause.joint]}; then read again at both ends.`,
          );
    case 'wire-to-ground':
      return say(
        `${wires} wire touches ground`,
        'Find where it rubs: brackets, sharp edges, clamps. Move the loom while reading.',
      );
    case 'wire-to-battery':
      return say(
        `${wires} wire touches battery positive`,
        'Find where it rubs on a live wire; then prove the control unit’s input again.',
      );
    case 'wires-together':
      return say(
        `${wires} wires touch each other`,
        'Look for a crushed or melted loom, water in a plug, a pin bent over.',
      );
    case 'two-wires-open':
      return say(
        `${wires} wires both open, ${JOINT_WORDS[cause.joint]}`,
        `Look at the loom ${JOINT_WORDS[cause.joint]}: what cut one wire cut the other.`,
      );
    case 'unit-pin-open':
      return say(`${wires}: contact lost inside the control unit`, PROVE_UNIT);
    case 'unit-does-not-read':
      return say(`Control unit does not read its ${wires} input`, PROVE_UNIT);
    case 'unit-bias-lost':
      return say(`Control unit lost the bias of its ${wires} input`, PROVE_UNIT);
    case 'unit-gives-no-reference':
      return say(
        cause.rail === 0
          ? 'Control unit gives no proper reference'
          : 'Control unit gives no proper second reference',
        'Unplug every other sensor on it, then check the unit’s own feeds and grounds before the unit.',
      );
    case 'unit-ground-raised':
      return say(
        'Control unit’s own ground raised',
        'Check the unit’s ground points by voltage drop before anything else.',
      );
    case 'rail-pulled-down':
      return say(
        'Another sensor pulls the reference down',
        'Unplug the others on this reference one by one; the one that brings it back is shorted.',
      );
    case 'nothing':
    case 'sensor':
    case 'wrong-part':
      return { ...FIXED[cause.of], lanes };
    case 'hose':
    case 'hoses-swapped':
    case 'linkage':
    case 'unmetered-air':
    case 'restricted-passages':
    case 'low-vacuum': {
      const { name, hides } = faultKind(cause.of);
      return say(name, `Look here: ${lowerFirst(hides)}`);
    }
  }
}

const PROVE_UNIT =
  'Check its terminal, its feeds and grounds, and its software state before the unit itself.';

const FIXED: Record<'nothing' | 'sensor' | 'wrong-part', Omit<DecisionWords, 'lanes'>> = {
  nothing: {
    title: 'Nothing wrong now',
    remedy: 'Wiggle the loom and drive with a recording: the fault may come and go.',
  },
  sensor: {
    title: 'Sensor',
    remedy: 'Clean port and plug, take the readings once more, then replace the sensor and read again.',
  },
  'wrong-part': {
    title: 'Wrong part fitted',
    remedy:
      'Compare the part number with the maker’s data for this machine. Where that is a digital sensor, its line is judged by live data, not by volts.',
  },
};

export const titleOf = (id: string): string => decisionWords(id)?.title ?? id;
