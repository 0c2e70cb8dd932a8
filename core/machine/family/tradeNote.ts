import type { Message } from '../../measure/message/index.ts';

/** At which step of the work a note matters: at rest, driven by engine or hand, at one kind of reading, or once a part is changed. */
export const NOTE_STEPS = ['stopped', 'driven', 'signal', 'pair', 'live', 'replacing'] as const;
export type NoteStep = (typeof NOTE_STEPS)[number];

export interface TradeNote {
  at: NoteStep;
  says: Message;
}
