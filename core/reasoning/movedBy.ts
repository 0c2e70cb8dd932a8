import type { MachineState } from '../evidence/index.ts';
import type { FamilyId } from '../family/index.ts';

/** The state that must move the signal away from its value at key on, engine off. */
export function movedBy(family: FamilyId): { state: MachineState; how: string } | undefined {
  const koeo = { engine: 'koeo', plug: 'connected' } as const;
  switch (family) {
    case 'manifold-pressure':
    case 'air-flow':
      return {
        state: { engine: 'idle', plug: 'connected' },
        how: 'Start the engine and let it settle.',
      };
    case 'throttle':
    case 'pedal':
    case 'flap':
      return {
        state: { ...koeo, stimulus: { kind: 'full-travel' } },
        how: 'Key on, engine off: move it slowly by hand or pedal to its far stop and hold it there.',
      };
    case 'exhaust-flow-differential':
      return {
        state: { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } },
        how: 'Hold about 1,500 rpm and force the valve open.',
      };
    case 'barometric-pressure':
    case 'boost-pressure':
    case 'filter-differential':
    case 'refrigerant-pressure':
    case 'fuel-rail-pressure':
    case 'other':
      return undefined;
  }
}
