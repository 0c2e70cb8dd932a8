import { z } from 'zod';
import { ownDraft } from '../../app/stored.ts';

/** The engine's figures as they are typed, before they are on record. */
const airflowDraft = z.object({
  litres: z.string(),
  revs: z.string(),
  pressure: z.string(),
  air: z.string(),
  efficiency: z.string(),
});
export type AirflowDraft = z.infer<typeof airflowDraft>;

/** What is being typed outlives a change of section and a reload; of each state of the engine by itself. */
export const airflowDraftOf = (jobId: string, engine: string) =>
  ownDraft<AirflowDraft | undefined>(
    `lettura.airflow-draft.${jobId}.${engine}`,
    airflowDraft.optional(),
    undefined,
  );
