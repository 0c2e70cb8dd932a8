import type { Lane, MachineState, Target } from '@lettura/core/machine/places';
import type { TermId } from '../../ui/help/index.ts';

const OF_LANE: Record<Lane, readonly TermId[]> = {
  reference: ['reference', 'shared-rail'],
  signal: ['signal'],
  return: ['return'],
  'second-signal': ['signal', 'pair'],
  'battery-feed': ['drop'],
  'second-reference': ['reference'],
  'second-return': ['return'],
  'motor-plus': [],
  'motor-minus': [],
};

/** Words that somebody who reads here for the first time may not know. */
export function termsFor(target: Target, { engine, plug }: MachineState): readonly TermId[] {
  if (target.kind === 'scan') return ['live-data'];
  if (target.kind === 'live-volts') return target.lane === 'signal' ? ['live-data'] : ['live-data', 'pair'];
  if (target.kind === 'gauge') return ['pressure-basis'];
  return [
    ...OF_LANE[target.lane],
    ...(plug === 'connected' ? (['back-probe'] as const) : (['plug-off', 'pull', 'ghost'] as const)),
    ...(engine === 'koeo' ? (['koeo'] as const) : []),
  ];
}
