import type { Message } from '../../measure/message/index.ts';
import { isLiveData, running, type MachineState, type Target } from '../places/index.ts';
import type { FamilySpec } from './families.ts';
import type { NoteStep } from './tradeNote.ts';

/** Common practice that matters where somebody is about to read: nothing with the plug off, where the sensor has no say. */
export function notesAt({ notes }: FamilySpec, target: Target, state: MachineState): Message[] {
  const steps = stepsAt(target, state);
  return notes.filter(({ at }) => steps.includes(at)).map(({ says }) => says);
}

/** Common practice for whoever changes the part. */
export const notesReplacing = ({ notes }: FamilySpec): Message[] =>
  notes.filter(({ at }) => at === 'replacing').map(({ says }) => says);

function stepsAt(target: Target, state: MachineState): NoteStep[] {
  const ofSensor =
    isLiveData(target) ||
    (target.kind === 'wire' && (target.lane === 'signal' || target.lane === 'second-signal'));
  if (!ofSensor || state.plug === 'unplugged' || state.engine === 'key-off') return [];
  return [
    isLiveData(target) ? 'live' : target.lane === 'signal' ? 'signal' : 'pair',
    running(state) || state.stimulus ? 'driven' : 'stopped',
  ];
}
