/** The sensor families of the trade. What each is stands in `families.ts`, whole. */
export const FAMILY_IDS = [
  'manifold-pressure',
  'barometric-pressure',
  'boost-pressure',
  'filter-differential',
  'exhaust-flow-differential',
  'throttle',
  'pedal',
  'flap',
  'air-flow',
  'refrigerant-pressure',
  'fuel-rail-pressure',
  'other',
] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];
