import type { MachineState } from '../places/index.ts';
import type { FamilyId } from './families.ts';

/** Where the machine itself drives the quantity away from its resting value. */
export function movedState(family: FamilyId): MachineState | undefined {
  switch (family) {
    case 'manifold-pressure':
    case 'air-flow':
    case 'refrigerant-pressure':
    case 'fuel-rail-pressure':
      return { engine: 'idle', plug: 'connected' };
    case 'throttle':
    case 'pedal':
    case 'flap':
      return { engine: 'koeo', plug: 'connected', stimulus: { kind: 'full-travel' } };
    case 'exhaust-flow-differential':
      return { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } };
    case 'filter-differential':
    case 'boost-pressure':
      return { engine: 'held-revs', plug: 'connected' };
    case 'barometric-pressure':
    case 'other':
      return undefined;
  }
}

/** Without load a clean filter and a turbocharger hardly move, and nobody knows how far rail or refrigerant will. */
const MAY_STAY: readonly FamilyId[] = [
  'filter-differential',
  'boost-pressure',
  'refrigerant-pressure',
  'fuel-rail-pressure',
];

/** Whether a signal that stays where it was in that state is stuck. */
export const mustMove = (family: FamilyId): boolean => !MAY_STAY.includes(family);
