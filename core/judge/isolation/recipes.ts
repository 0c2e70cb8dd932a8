import { plain, say, type Message } from '../../measure/message/index.ts';
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
  name: Message;
  /** What to do, and where to read. */
  how: Message;
  caution: Message;
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
    name: say('isolation.unplug-sensor'),
    how: say('isolation.plug-off-key-read-signal'),
    caution: say('isolation.note-codes-before-those-unplugging'),
    plugged: false,
    lane: 'signal',
    place: 'plug',
    needs: [],
  },
  {
    id: 'bridge-return',
    about: 'signal',
    name: say('isolation.bridge-signal-return'),
    how: say('isolation.plug-off-jumper-signal-return'),
    caution: say('isolation.sure-terminals-first-reference-bridged'),
    plugged: false,
    lane: 'signal',
    place: 'unit',
    needs: ['return'],
    harness: jumper(at('signal', 'plug'), at('return', 'plug')),
  },
  {
    id: 'bridge-reference',
    about: 'signal',
    name: say('isolation.bridge-signal-reference'),
    how: say('isolation.plug-off-jumper-signal-reference'),
    caution: say('isolation.never-battery-positive-fuse-resistor'),
    plugged: false,
    lane: 'signal',
    place: 'unit',
    needs: ['reference'],
    harness: jumper(at('signal', 'plug'), at('reference', 'plug')),
  },
  {
    id: 'substitute',
    about: 'signal',
    name: say('isolation.substitute-v', { volts: plain(SUBSTITUTE_VOLTS, 'V') }),
    how: say('isolation.plug-off-v-source-signal', { volts: plain(SUBSTITUTE_VOLTS, 'V') }),
    caution: say('isolation.no-more-than-reference-through'),
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
    name: say('isolation.jump-past-signal-wire'),
    how: say('isolation.plug-connected-key-engine-off'),
    caution: say('isolation.back-probe-both-ends-jumper'),
    plugged: true,
    lane: 'signal',
    place: 'unit',
    needs: [],
    harness: jumper(at('signal', 'plug'), at('signal', 'unit')),
  },
  {
    id: 'jumper-reference',
    about: 'supply',
    name: say('isolation.jump-past-reference-wire'),
    how: say('isolation.plug-connected-key-engine-off-jumper'),
    caution: say('isolation.reference-reference-only-touched-anything'),
    plugged: true,
    lane: 'reference',
    place: 'plug',
    needs: ['reference'],
    harness: jumper(at('reference', 'unit'), at('reference', 'plug')),
  },
  {
    id: 'jumper-return',
    about: 'supply',
    name: say('isolation.jump-past-return-wire'),
    how: say('isolation.plug-connected-key-engine-off-jumper-along'),
    caution: say('isolation.units-own-return-terminal-not'),
    plugged: true,
    lane: 'return',
    place: 'plug',
    needs: ['return'],
    harness: jumper(at('return', 'plug'), at('return', 'unit')),
  },
  {
    id: 'neighbours-off',
    about: 'supply',
    name: say('isolation.unplug-other-sensors-reference'),
    how: say('isolation.plug-connected-key-engine-off-unplug'),
    caution: say('isolation.note-codes-before-each-sensor'),
    plugged: true,
    lane: 'reference',
    place: 'plug',
    needs: ['reference'],
    harness: { ...NO_HARNESS_WORK, neighboursOff: [0] },
  },
] as const satisfies readonly Recipe[];

export type RecipeId = (typeof RECIPES)[number]['id'];
