import { say } from '../../measure/message/index.ts';
import { familyOf } from '../family/index.ts';
import type { PhysicalKindId } from '../kinds/index.ts';
import { PHYSICAL_SAID } from './physicalSaid.ts';
import { faultSite, type FaultSpec, type FaultSite, type FaultSubject } from './faultKind.ts';

/** Where the family can have it. */
const at = (id: PhysicalKindId, site: FaultSite) => ({
  sites: ({ family }: FaultSubject) => (familyOf(family).causes.includes(id) ? [site] : []),
});

const HOSE: FaultSpec = {
  class: 'physical',
  weight: 8,
  ...PHYSICAL_SAID.hose,
  sentence: say('faults.sensor-should-measure-does-not'),
  looksLike: say('faults.sensor-right-pump-port-wrong'),
  size: { unit: 'share', lowest: 0, highest: 0.6, spread: 'even' },
  beyond: { size: { unit: 'share', lowest: 0, highest: 0.8, spread: 'even' } },
  ...at(
    'hose',
    faultSite({ in: 'hose' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const SWAPPED: FaultSpec = {
  class: 'physical',
  weight: 1.5,
  ...PHYSICAL_SAID['hoses-swapped'],
  sentence: say('faults.upstream-downstream-hose-sit-each'),
  looksLike: say('faults.right-rest-flow-signal-goes'),
  ...at(
    'hoses-swapped',
    faultSite({ in: 'hoses' }, () => [{ on: 'quantity', does: 'reversed' }]),
  ),
};

/** Of the travel, by an arm that is loose. */
const MOST_REACHED = 0.7;
const LINKAGE: FaultSpec = {
  class: 'physical',
  weight: 5,
  ...PHYSICAL_SAID.linkage,
  sentence: say('faults.part-should-move-sensor-does'),
  looksLike: say('faults.moved-hand-arm-signal-follows'),
  size: { unit: 'share', lowest: 0, highest: MOST_REACHED, spread: 'even' },
  beyond: {
    // Detached, an arm lies wherever it fell.
    sites: ({ family }) =>
      familyOf(family).causes.includes('linkage')
        ? [
            faultSite({ in: 'linkage', lies: true }, (share) => [
              { on: 'quantity', does: 'lies', share: share / MOST_REACHED },
            ]),
          ]
        : [],
  },
  ...at(
    'linkage',
    faultSite({ in: 'linkage' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const UNMETERED_AIR: FaultSpec = {
  class: 'physical',
  weight: 8,
  ...PHYSICAL_SAID['unmetered-air'],
  sentence: say('faults.part-air-reaches-engine-without'),
  looksLike: say('faults.steady-too-low-every-speed'),
  size: { unit: 'share', lowest: 0.2, highest: 0.8, spread: 'even' },
  ...at(
    'unmetered-air',
    faultSite({ in: 'duct' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const PASSAGES: FaultSpec = {
  class: 'physical',
  weight: 6,
  ...PHYSICAL_SAID['restricted-passages'],
  sentence: say('faults.valve-opens-hardly-any-gas'),
  looksLike: say('faults.valve-forced-open-neither-engine'),
  size: { unit: 'share', lowest: 0, highest: 0.3, spread: 'even' },
  beyond: { size: { unit: 'share', lowest: 0, highest: 0.4, spread: 'even' } },
  ...at(
    'restricted-passages',
    faultSite({ in: 'passages' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches }]),
  ),
};

const LOW_VACUUM: FaultSpec = {
  class: 'physical',
  weight: 7,
  ...PHYSICAL_SAID['low-vacuum'],
  sentence: say('faults.manifold-holds-more-pressure-than'),
  looksLike: say('faults.gauge-manifold-agrees-sensor'),
  size: { unit: 'share', lowest: 0.5, highest: 0.8, spread: 'even' },
  ...at(
    'low-vacuum',
    faultSite({ in: 'engine' }, (reaches) => [{ on: 'quantity', does: 'weakened', reaches, atSource: true }]),
  ),
};

export const PHYSICAL_FAULTS = {
  hose: HOSE,
  'hoses-swapped': SWAPPED,
  linkage: LINKAGE,
  'unmetered-air': UNMETERED_AIR,
  'restricted-passages': PASSAGES,
  'low-vacuum': LOW_VACUUM,
} satisfies Record<PhysicalKindId, FaultSpec>;
