import type { Cause } from '@lettura/core/judge/weighing';
import type { FamilyId } from '@lettura/core/machine/family';
import type { Ill, IllMaker, IllsByWeight } from './ill.ts';

/** Only a share of what moves the sensor reaches it. */
const weakened =
  (
    of: Cause['of'],
    families: readonly FamilyId[],
    [least, most]: readonly [number, number],
    seen: (reaches: number) => Pick<Ill, 'shows' | 'isAtSource'>,
  ): IllMaker =>
  (draw, { family }) => {
    if (!families.includes(family)) return undefined;
    const reaches = draw.between(least, most);
    return {
      name: of,
      class: 'physical',
      isAt: (cause) => cause.of === of,
      quantity: (value, resting) => resting + reaches * (value - resting),
      ...seen(reaches),
    };
  };

const HOSED = [
  'manifold-pressure',
  'boost-pressure',
  'filter-differential',
  'exhaust-flow-differential',
] as const;
/** What lets next to nothing through is blocked, and a blocked hose holds the pump as a sound one does. */
const hose = weakened('hose', HOSED, [0, 0.75], (reaches) => ({
  shows: reaches < BLOCKED_BELOW ? ['hose'] : ['hose', 'hose-holds'],
}));
const BLOCKED_BELOW = 0.1;
const pastIt = weakened('unmetered-air', ['air-flow'], [0.2, 0.8], () => ({
  shows: ['duct'],
}));
const passages = weakened('restricted-passages', ['exhaust-flow-differential'], [0, 0.35], (reaches) => ({
  // A valve that stays shut lets nothing through; soot mostly leaves a way.
  shows: reaches < BLOCKED_BELOW ? ['stumbles', 'valve-holds'] : ['stumbles'],
}));
const lowVacuum = weakened('low-vacuum', ['manifold-pressure'], [0.45, 0.78], () => ({
  isAtSource: true,
}));

const swapped: IllMaker = (_draw, { family }) =>
  family.endsWith('differential')
    ? {
        name: 'hoses swapped',
        class: 'physical',
        isAt: ({ of }) => of === 'hoses-swapped',
        quantity: (value, resting) => 2 * resting - value,
        shows: ['hose-routing'],
      }
    : undefined;
const arm: IllMaker = (draw, { body, profile }) => {
  if (body !== 'track' && body !== 'pair') return undefined;
  // A detached arm lies wherever it fell.
  const lies = draw.between(profile.lowest, profile.highest);
  const reaches = draw.happens(0.5) ? 0 : draw.between(0.1, 0.7);
  return {
    name: 'arm',
    class: 'physical',
    isAt: ({ of }) => of === 'linkage',
    quantity: (value, resting) => (reaches === 0 ? lies : resting + reaches * (value - resting)),
    shows: ['arm'],
  };
};

/** Between what is to be measured and the sensor. */
export const PHYSICAL_ILLS: IllsByWeight = [
  [8, hose],
  [2, swapped],
  [5, arm],
  [8, pastIt],
  [5, passages],
  [6, lowVacuum],
];
