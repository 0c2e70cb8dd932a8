import { LANE_WORDS, LANES, type Lane } from '../../../machine/places/index.ts';
import { FAULT_KINDS, JOINT_WORDS } from '../../../machine/fault/index.ts';
import type { Joint } from '../../../machine/wiring/index.ts';
import { lowerFirst, upperFirst } from '../../wording/index.ts';

export interface DecisionWords {
  title: string;
  /** What to do once it is proven. */
  remedy: string;
  /** The wires that it is about, where it is about some. */
  lanes: readonly Lane[];
}

/** A decision in words, from its name alone: what was recorded can be read without its job. Undefined for a name that is none. */
export function decisionWords(id: string): DecisionWords | undefined {
  const fixed = FIXED[id];
  if (fixed) return { lanes: [], ...fixed };
  const [kind = '', site = ''] = id.split(' ');
  const [names = '', joint] = site.split(':');
  const lanes = names.split('+').filter(isLane);
  const wires = lanes.map((lane) => LANE_WORDS[lane]).join(' and ');
  const where = isJoint(joint) ? JOINT_WORDS[joint] : '';
  const about = (title: string, remedy: string): DecisionWords | undefined =>
    lanes.length > 0 ? { title: upperFirst(title), remedy, lanes } : undefined;
  switch (kind) {
    case 'wire':
      return where === ''
        ? undefined
        : joint === 'plug'
          ? about(
              `${wires}: bad contact in the sensor plug`,
              'Clean and tension the terminal, look behind it for a broken crimp, then read again.',
            )
          : about(`${wires} wire ${where}`, `Repair it ${where}; then read again at both ends.`);
    case 'wire-to-ground':
      return about(
        `${wires} wire touches ground`,
        'Find where it rubs: brackets, sharp edges, clamps. Move the loom while reading.',
      );
    case 'wire-to-battery':
      return about(
        `${wires} wire touches battery positive`,
        'Find where it rubs on a live wire; then prove the control unit’s input again.',
      );
    case 'wires-together':
      return about(
        `${wires} wires touch each other`,
        'Look for a crushed or melted loom, water in a plug, a pin bent over.',
      );
    case 'two-wires-open':
      return about(
        `${wires} wires both open, ${where}`,
        `Look at the loom ${where}: what cut one wire cut the other.`,
      );
    case 'unit-pin-open':
      return about(`${wires}: contact lost inside the control unit`, PROVE_UNIT);
    case 'unit-does-not-read':
      return about(`Control unit does not read its ${wires} input`, PROVE_UNIT);
    case 'unit-bias-lost': {
      const lane = site.split(':')[1] ?? '';
      return isLane(lane)
        ? {
            title: `Control unit lost the bias of its ${LANE_WORDS[lane]} input`,
            remedy: PROVE_UNIT,
            lanes: [lane],
          }
        : undefined;
    }
    case 'unit-gives-no-reference':
      return {
        title:
          site === 'rail:0'
            ? 'Control unit gives no proper reference'
            : 'Control unit gives no proper second reference',
        remedy:
          'Unplug every other sensor on it, then check the unit’s own feeds and grounds before the unit.',
        lanes: [site === 'rail:0' ? 'reference' : 'second-reference'],
      };
    case 'unit-ground-raised':
      return {
        title: 'Control unit’s own ground raised',
        remedy: 'Check the unit’s ground points by voltage drop before anything else.',
        lanes: [],
      };
    case 'rail-pulled-down':
      return {
        title: 'Another sensor pulls the reference down',
        remedy: 'Unplug the others on this reference one by one; the one that brings it back is shorted.',
        lanes: ['reference'],
      };
    default:
      return undefined;
  }
}

const PROVE_UNIT =
  'Check its terminal, its feeds and grounds, and its software state before the unit itself.';

const FIXED: Readonly<Record<string, Omit<DecisionWords, 'lanes'>>> = {
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
  ...Object.fromEntries(
    FAULT_KINDS.filter(({ class: sort }) => sort === 'physical').map(({ id, name, hides }) => [
      id,
      { title: name, remedy: `Look here: ${lowerFirst(hides)}` },
    ]),
  ),
};

const isLane = (name: string): name is Lane => (LANES as readonly string[]).includes(name);
const isJoint = (name: string | undefined): name is Joint => name !== undefined && name in JOINT_WORDS;

export const titleOf = (id: string): string => decisionWords(id)?.title ?? id;
