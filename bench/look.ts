import type { ObservationId } from '@lettura/core/observation';
import type { Fault } from '@lettura/core/fault';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** What a close look at the machine would find. */
const SHOWS: Record<ObservationId, (fault: Fault) => boolean> = {
  'plug-contacts': ({ kind, site }) => kind.class === 'wire' && site.id.endsWith(':plug'),
  hose: ({ kind }) => kind.id === 'hose',
  'hose-routing': ({ kind }) => kind.id === 'hoses-swapped',
  arm: ({ kind }) => kind.id === 'linkage',
  duct: ({ kind }) => kind.id === 'unmetered-air',
  stumbles: ({ kind }) => kind.id === 'restricted-passages',
  'part-number': ({ kind }) => kind.class === 'wrong-part',
};

/** Whether what is looked at is as it should be. */
export const looksRight = ({ faults }: SimulatedMachine, observation: ObservationId): boolean =>
  !faults.some(SHOWS[observation]);
