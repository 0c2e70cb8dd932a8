import { say, type Message } from '../../measure/message/index.ts';
import type { PhysicalKindId } from '../kinds/index.ts';

/** What is wrong outside of sensor and circuit, and where it hides: what a verdict says of it wherever it is read. */
export const PHYSICAL_SAID: Record<PhysicalKindId, { name: Message; hides: Message }> = {
  hose: { name: say('faults.hose-blocked-split-off'), hides: say('faults.soot-oil-pipe-split-barb') },
  'hoses-swapped': { name: say('faults.hoses-swapped'), hides: say('faults.any-work-filter-sensor-shortly') },
  linkage: { name: say('faults.linkage-loose-detached'), hides: say('faults.ball-joint-popped-off-worn') },
  'unmetered-air': {
    name: say('faults.air-goes-past-sensor'),
    hides: say('faults.split-duct-body-does-not'),
  },
  'restricted-passages': {
    name: say('faults.exhaust-gas-passages-restricted'),
    hides: say('faults.soot-valve-cooler-pipe'),
  },
  'low-vacuum': {
    name: say('faults.engine-vacuum-really-low'),
    hides: say('faults.leaks-late-timing-restricted-exhaust'),
  },
};
