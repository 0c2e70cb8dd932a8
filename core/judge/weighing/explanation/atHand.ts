import { say, type Message } from '../../../measure/message/index.ts';
import type { Candidate } from '../outlook/candidates.ts';

/** What has to be fetched before a reading can be taken. */
export const TOOL_IDS = [
  'meter',
  'back-probe',
  'gauge',
  'hand-pump',
  'scan-tool',
  'logger',
  'jumper',
  'test-light',
  'voltage-source',
] as const;
export type ToolId = (typeof TOOL_IDS)[number];

/** What a tool is called in a list of what to take along. */
export const toolSaid = (id: ToolId): Message => say(`tool.${id}`);

/** All that these readings need, each once, in the order of the list: whoever walks to the machine takes it along. */
export function toolsFor(readings: readonly Pick<Candidate, 'target' | 'state'>[]): ToolId[] {
  const needed = new Set(readings.flatMap(toolsOf));
  return TOOL_IDS.filter((id) => needed.has(id));
}

function toolsOf({ target, state }: Pick<Candidate, 'target' | 'state'>): ToolId[] {
  const clipped = state.harness?.attachments.map(({ kind }): ToolId => kind) ?? [];
  const pump: ToolId[] = state.stimulus?.kind === 'pump' ? ['hand-pump'] : [];
  return [...measuredWith(target, state), ...clipped, ...pump];
}

function measuredWith(target: Candidate['target'], { plug }: Candidate['state']): ToolId[] {
  switch (target.kind) {
    case 'wire':
    case 'frequency':
    case 'duty':
    case 'between':
      return plug === 'connected' ? ['meter', 'back-probe'] : ['meter'];
    case 'ohms':
      return ['meter'];
    case 'gauge':
      return ['gauge'];
    case 'scan':
    case 'live-volts':
    case 'engine-flow':
      return ['scan-tool'];
    case 'sweep':
    case 'capture':
      return ['logger', 'back-probe'];
    case 'observation':
      return [];
  }
}
