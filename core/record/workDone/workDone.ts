import { say, type Message } from '../../measure/message/index.ts';

/** What can be done to a machine between readings. */
export const WORK_IDS = [
  'sensor-replaced',
  'part-replaced',
  'part-cleaned',
  'wire-mended',
  'contacts-mended',
  'hose-mended',
  'valve-freed',
  'linkage-mended',
  'battery-charged',
  'relearned',
  'codes-cleared',
] as const;
export type WorkId = (typeof WORK_IDS)[number];

interface WorkSpec {
  words: Message;
  /** What is read may be another value after it: readings before and after are not of the same machine. */
  changesReadings: boolean;
}

const WORKS: Record<WorkId, WorkSpec> = {
  'sensor-replaced': { words: say('work.sensor-replaced'), changesReadings: true },
  'part-replaced': { words: say('work.part-replaced'), changesReadings: true },
  'part-cleaned': { words: say('work.part-cleaned'), changesReadings: true },
  'wire-mended': { words: say('work.wire-mended'), changesReadings: true },
  'contacts-mended': { words: say('work.contacts-mended'), changesReadings: true },
  'hose-mended': { words: say('work.hose-mended'), changesReadings: true },
  'valve-freed': { words: say('work.valve-freed'), changesReadings: true },
  'linkage-mended': { words: say('work.linkage-mended'), changesReadings: true },
  'battery-charged': { words: say('work.battery-charged'), changesReadings: true },
  // What the unit makes of a voltage changes with these, the voltage does not.
  relearned: { words: say('work.relearned'), changesReadings: false },
  'codes-cleared': { words: say('work.codes-cleared'), changesReadings: false },
};

/** What was done, by name. */
export const workSaid = (id: WorkId): Message => WORKS[id].words;
/** Whether what is read afterwards is of another machine. */
export const changesReadings = (id: WorkId): boolean => WORKS[id].changesReadings;
