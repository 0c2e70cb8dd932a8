import {
  NO_HARNESS_WORK,
  type HarnessWork,
  type Lane,
  type Place,
  type ProbePoint,
} from '../../machine/places/index.ts';

/** A test of isolation, before it is worked out on a circuit. */
export interface Recipe {
  id: string;
  /** What it isolates: the signal's path, or the supply. */
  about: 'signal' | 'supply';
  name: string;
  /** What to do, and where to read. */
  how: string;
  caution: string;
  plugged: boolean;
  lane: Lane;
  place: Place;
  needs: readonly Lane[];
  harness?: HarnessWork;
}

export const SUBSTITUTE_VOLTS = 1.6;

const at = (lane: Lane, place: Place): ProbePoint => ({ lane, place });
const jumper = (from: ProbePoint, to: ProbePoint): HarnessWork => ({
  ...NO_HARNESS_WORK,
  attachments: [{ kind: 'jumper', from, to }],
});

export const RECIPES = [
  {
    id: 'unplug',
    about: 'signal',
    name: 'Unplug the sensor',
    how: 'Plug off, key on. Read the signal on the harness side of the plug.',
    caution:
      'Note the codes before: those that unplugging sets, also of a temperature in the same body, are consequences.',
    plugged: false,
    lane: 'signal',
    place: 'plug',
    needs: [],
  },
  {
    id: 'bridge-return',
    about: 'signal',
    name: 'Bridge signal to return',
    how: 'Plug off, a jumper from signal to return on the harness side. Read the signal at the control unit.',
    caution:
      'Be sure of the terminals first: reference bridged to return shorts the supply of every sensor on it.',
    plugged: false,
    lane: 'signal',
    place: 'unit',
    needs: ['return'],
    harness: jumper(at('signal', 'plug'), at('return', 'plug')),
  },
  {
    id: 'bridge-reference',
    about: 'signal',
    name: 'Bridge signal to reference',
    how: 'Plug off, a jumper from signal to reference on the harness side. Read the signal at the control unit.',
    caution:
      'Never to battery positive. A fuse or a resistor of some hundred ohms in the jumper does no harm.',
    plugged: false,
    lane: 'signal',
    place: 'unit',
    needs: ['reference'],
    harness: jumper(at('signal', 'plug'), at('reference', 'plug')),
  },
  {
    id: 'substitute',
    about: 'signal',
    name: `Substitute ${SUBSTITUTE_VOLTS} V`,
    how: `Plug off, ${SUBSTITUTE_VOLTS} V from a source on the signal, against battery negative. Read the signal at the control unit, and live data.`,
    caution: 'No more than the reference, through some hundred ohms, and on the signal wire only.',
    plugged: false,
    lane: 'signal',
    place: 'unit',
    needs: [],
    harness: {
      ...NO_HARNESS_WORK,
      attachments: [{ kind: 'voltage-source', at: at('signal', 'plug'), volts: SUBSTITUTE_VOLTS }],
    },
  },
  {
    id: 'jumper',
    about: 'signal',
    name: 'Jump past the signal wire',
    how: 'Plug connected, key on, engine off: a jumper along the signal wire from plug to control unit. Read the signal there.',
    caution: 'Back-probe both ends. The jumper proves a broken wire; it is no repair.',
    plugged: true,
    lane: 'signal',
    place: 'unit',
    needs: [],
    harness: jumper(at('signal', 'plug'), at('signal', 'unit')),
  },
  {
    id: 'jumper-reference',
    about: 'supply',
    name: 'Jump past the reference wire',
    how: 'Plug connected, key on, engine off: a jumper along the reference wire from control unit to plug. Read the reference at the plug.',
    caution: 'Reference to reference only: touched to anything else, the jumper shorts every sensor on it.',
    plugged: true,
    lane: 'reference',
    place: 'plug',
    needs: ['reference'],
    harness: jumper(at('reference', 'unit'), at('reference', 'plug')),
  },
  {
    id: 'jumper-return',
    about: 'supply',
    name: 'Jump past the return wire',
    how: 'Plug connected, key on, engine off: a jumper along the return wire from plug to control unit. Read the return at the plug.',
    caution: 'To the unit’s own return terminal, not to the body: they need not be the same.',
    plugged: true,
    lane: 'return',
    place: 'plug',
    needs: ['return'],
    harness: jumper(at('return', 'plug'), at('return', 'unit')),
  },
  {
    id: 'neighbours-off',
    about: 'supply',
    name: 'Unplug the other sensors on the reference',
    how: 'Plug connected, key on, engine off: unplug the other sensors that share this reference, one by one. Read the reference at the plug.',
    caution: 'Note the codes before: each sensor unplugged sets its own.',
    plugged: true,
    lane: 'reference',
    place: 'plug',
    needs: ['reference'],
    harness: { ...NO_HARNESS_WORK, neighboursOff: [0] },
  },
] as const satisfies readonly Recipe[];

export type RecipeId = (typeof RECIPES)[number]['id'];
