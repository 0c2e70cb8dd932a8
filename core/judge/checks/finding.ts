import type { Message } from '../../measure/message/index.ts';
/** What was found, as a name that code may compare: what was asked, and what the readings answer. */
export type FindingCode =
  | `reference-${'at-plug' | 'at-unit' | 'unplugged'}=${'normal' | 'low' | 'missing' | 'high'}`
  | `return-at-${'plug' | 'unit'}=${'good' | 'raised' | 'floating'}`
  | `signal-koeo=${'as-expected' | 'shifted' | 'shifted-by-return' | 'shifted-perhaps-by-return' | 'low' | 'high'}`
  | `signal-follows=${'moves' | 'stuck'}`
  | `signal-unit-vs-plug=${'same' | 'differs'}`
  | `signal-unplugged=${'at-bias' | 'held-high' | 'held-low'}`
  | `live-vs-plug=${'agrees' | 'differs'}`
  | `sensor-vs-gauge-${'hose' | 'manifold' | 'service-port'}=${'agree' | 'disagree' | 'disagree-by-return' | 'disagree-perhaps-by-return'}`
  | `vacuum-at-${'hose' | 'manifold'}=${'healthy' | 'low'}`;

/** What readings say, in plain words. */
export interface Finding {
  code: FindingCode;
  sentence: Message;
  readingIds: readonly string[];
}

/** A reading that could not be used as it stands, and why. */
export interface Remark {
  sentence: Message;
  readingIds: readonly string[];
}

/** A finding with the ids of the readings that it rests on. */
export const finding = (code: FindingCode, sentence: Message, readingIds: readonly string[]): Finding => ({
  code,
  sentence,
  readingIds,
});
