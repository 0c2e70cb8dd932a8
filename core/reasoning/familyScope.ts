import type { MachineState } from '../evidence/index.ts';
import type { FamilyId } from '../family/index.ts';
import { CAUSE_IDS, type CauseId } from './causes.ts';
import { CHECK_IDS, checkOf, type Check, type CheckId } from './checks.ts';

/** Only a manifold has a vacuum that a gauge can be set beside; elsewhere one cause stands for all that moves the sensor. */
const MANIFOLD_ONLY: readonly CauseId[] = ['hose', 'engine-vacuum'];
const GAUGE_CHECKS: readonly CheckId[] = [
  'sensor-vs-gauge-hose',
  'sensor-vs-gauge-manifold',
  'vacuum-at-hose',
  'vacuum-at-manifold',
];

const ofManifold = (family: FamilyId): boolean => family === 'manifold-pressure';

export const causesFor = (family: FamilyId): CauseId[] =>
  CAUSE_IDS.filter((cause) => (ofManifold(family) ? cause !== 'path' : !MANIFOLD_ONLY.includes(cause)));

export const checksFor = (family: FamilyId): CheckId[] =>
  CHECK_IDS.filter(
    (id) =>
      (ofManifold(family) || !GAUGE_CHECKS.includes(id)) &&
      (id !== 'signal-follows' || movedBy(family) !== undefined) &&
      (id !== 'signal-koeo' || family !== 'fuel-rail-pressure'),
  );

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

/** A check in the words of a family: a throttle shows no ambient pressure. */
export function checkFor(id: CheckId, family: FamilyId): Check {
  const check = checkOf(id);
  if (ofManifold(family)) return check;
  if (id === 'signal-koeo') {
    return {
      ...check,
      question: 'With the engine stopped, does the signal read what it should?',
      outcomes: {
        ...check.outcomes,
        ambient: 'what it should',
        shifted: 'in range, but not what it should',
      },
    };
  }
  if (id === 'live-vs-plug') return { ...check, how: 'Read it in live data with nothing else changed.' };
  const moved = id === 'signal-follows' ? movedBy(family) : undefined;
  const first = check.needs[0];
  return moved && first
    ? {
        ...check,
        question: 'Does the signal follow when the sensor is moved?',
        needs: [first, { ...first, state: moved.state }],
        how: `Back-probe with the plug connected, black lead on battery negative. ${moved.how}`,
      }
    : check;
}
