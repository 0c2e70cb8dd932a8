import { familyOf } from '../family/index.ts';
import type { PhysicalKindId } from '../kinds/index.ts';
import { faultSite, type FaultKind, type FaultSite, type FaultSubject } from './faultKind.ts';

/** Where the family can have it. */
const at = (id: PhysicalKindId, site: FaultSite) => ({
  id,
  sites: ({ family }: FaultSubject) => (familyOf(family).causes.includes(id) ? [site] : []),
});

const HOSE: FaultKind = {
  class: 'physical',
  name: 'Hose blocked, split or off',
  sentence: 'What the sensor should measure does not get to it.',
  looksLike: 'The sensor is right with a pump on its port and wrong on its hose.',
  hides: 'Soot and oil in the pipe, a split at the barb, a hose left off after other work.',
  size: { unit: 'share', lowest: 0, highest: 0.6, spread: 'even' },
  ...at(
    'hose',
    faultSite({ in: 'hose' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const SWAPPED: FaultKind = {
  class: 'physical',
  name: 'Hoses swapped',
  sentence: 'Upstream and downstream hose sit on each other’s port.',
  looksLike: 'Right at rest; with flow the signal goes the wrong way or stays on its stop.',
  hides: 'Any work on filter or sensor shortly before.',
  ...at(
    'hoses-swapped',
    faultSite({ in: 'hoses' }, () => [{ on: 'quantity', does: 'reversed' }]),
  ),
};

const LINKAGE: FaultKind = {
  class: 'physical',
  name: 'Linkage loose or detached',
  sentence: 'The part that should move the sensor does not move it all the way.',
  looksLike: 'Moved by hand at its arm the signal follows; moved by the actuator it does not.',
  hides: 'A ball joint popped off, a worn cam, a bent arm.',
  size: { unit: 'share', lowest: 0, highest: 0.7, spread: 'even' },
  ...at(
    'linkage',
    faultSite({ in: 'linkage' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const UNMETERED_AIR: FaultKind = {
  class: 'physical',
  name: 'Air goes past the sensor',
  sentence: 'Part of the air reaches the engine without passing the element.',
  looksLike: 'Steady and too low at every speed; right again with the joint sealed by hand.',
  hides: 'A split duct, a body that does not sit on its seal, a clamp left loose.',
  size: { unit: 'share', lowest: 0.2, highest: 0.8, spread: 'even' },
  ...at(
    'unmetered-air',
    faultSite({ in: 'duct' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const PASSAGES: FaultKind = {
  class: 'physical',
  name: 'Exhaust-gas passages restricted',
  sentence: 'The valve opens and hardly any gas flows.',
  looksLike: 'With the valve forced open neither the engine stumbles nor the signal rises.',
  hides: 'Soot in valve, cooler and pipe.',
  size: { unit: 'share', lowest: 0, highest: 0.3, spread: 'even' },
  ...at(
    'restricted-passages',
    faultSite({ in: 'passages' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const LOW_VACUUM: FaultKind = {
  class: 'physical',
  name: 'Engine vacuum really is low',
  sentence: 'The manifold holds more pressure than it should, and the sensor says so truly.',
  looksLike: 'A gauge at the manifold agrees with the sensor.',
  hides: 'Leaks, late timing, a restricted exhaust.',
  size: { unit: 'share', lowest: 0.5, highest: 0.8, spread: 'even' },
  ...at(
    'low-vacuum',
    faultSite({ in: 'engine' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches, atSource: true }]),
  ),
};

export const PHYSICAL_FAULTS: readonly FaultKind[] = [
  HOSE,
  SWAPPED,
  LINKAGE,
  UNMETERED_AIR,
  PASSAGES,
  LOW_VACUUM,
];
