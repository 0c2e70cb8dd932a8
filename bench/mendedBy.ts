import { isInPlug, type Fault } from '@lettura/core/machine/fault';
import type { FaultKindId } from '@lettura/core/machine/kinds';
import type { WorkId } from '@lettura/core/record/workDone';

const kinds =
  (...ids: readonly FaultKindId[]) =>
  ({ kind }: Fault): boolean =>
    ids.includes(kind.id);

/** By what is done to a practice machine: whether that takes a fault away. What is done in the wrong place changes nothing. */
const MENDS: Record<WorkId, (fault: Fault) => boolean> = {
  'sensor-replaced': ({ kind }) => kind.class === 'sensor' || kind.class === 'wrong-part',
  // Whatever else pulled the supply down, the control unit, or what the engine drew its air past.
  'part-replaced': (fault) =>
    (fault.kind.class === 'control-unit' && fault.kind.id !== 'unit-ground-raised') ||
    kinds('rail-pulled-down', 'low-vacuum')(fault),
  'part-cleaned': kinds('restricted-passages'),
  'wire-mended': (fault) =>
    fault.kind.id === 'unit-ground-raised' ||
    (fault.kind.class === 'wire' && fault.kind.id !== 'rail-pulled-down' && !isInPlug(fault.site.at)),
  'contacts-mended': ({ kind, site }) => kind.class === 'wire' && isInPlug(site.at),
  'hose-mended': kinds('hose', 'hoses-swapped', 'unmetered-air', 'low-vacuum'),
  'valve-freed': kinds('restricted-passages'),
  'linkage-mended': kinds('linkage'),
  'battery-charged': () => false,
  relearned: () => false,
  'codes-cleared': () => false,
};

export const isMendedBy = (fault: Fault, done: readonly WorkId[]): boolean =>
  done.some((work) => MENDS[work](fault));
