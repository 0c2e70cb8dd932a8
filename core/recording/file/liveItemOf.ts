import type { FamilyId } from '../../machine/family/index.ts';

/** The item of standard live data that a sensor of a family shows up in; undefined where the standard has none. */
export function liveItemOf(family: FamilyId): number | undefined {
  switch (family) {
    case 'manifold-pressure':
    case 'boost-pressure':
      return 0x0b;
    case 'barometric-pressure':
      return 0x33;
    case 'air-flow':
      return 0x10;
    case 'throttle':
      return 0x11;
    case 'pedal':
      return 0x49;
    case 'fuel-rail-pressure':
      return 0x23;
    case 'filter-differential':
    case 'exhaust-flow-differential':
    case 'flap':
    case 'refrigerant-pressure':
    case 'other':
      return undefined;
  }
}
