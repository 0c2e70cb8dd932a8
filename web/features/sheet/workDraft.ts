import { WORK_IDS, type WorkId } from '@lettura/core/record/workDone';
import { z } from 'zod';
import { ownDraft } from '../../app/stored.ts';

export interface WorkToRecord {
  work: WorkId;
  at?: string;
  oldPart?: string;
  newPart?: string;
  who?: string;
  note?: string;
  /** All of it as it was typed. */
  text: string;
}

/** How much each may say, as the record keeps it. */
export const LETTERS = { at: 200, oldPart: 80, newPart: 80, who: 120, note: 1000 } as const;
export type Field = keyof typeof LETTERS;
export const FIELDS = Object.keys(LETTERS) as Field[];

const draftSchema = z.object({
  work: z.enum(WORK_IDS).or(z.literal('')),
  at: z.string(),
  oldPart: z.string(),
  newPart: z.string(),
  who: z.string(),
  note: z.string(),
});
export type Draft = z.infer<typeof draftSchema>;
export const EMPTY: Draft = { work: '', at: '', oldPart: '', newPart: '', who: '', note: '' };
/** What is being typed outlives a change of section and a reload. */
export const draftOf = (jobId: string) => ownDraft(`lettura.work-draft.${jobId}`, draftSchema, EMPTY);
