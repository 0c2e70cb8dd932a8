import { jobDetails, vehicle } from '@lettura/contract';
import { z } from 'zod';
import { codesFromText } from '../../ui/codesFromText.ts';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { t } from '../../ui/words.ts';

const LITRES = { lowest: 0.05, highest: 100, unit: 'L' };

/** The new-job form, as it is typed and as it is read. */
export const newJobForm = z.object({
  vehicleName: vehicle.shape.name,
  /** Which of the machines of that name, where there is any; empty while nobody has chosen. */
  machine: z.string(),
  complaint: jobDetails.shape.complaint,
  codes: codesFromText,
  history: jobDetails.shape.history,
  sensorId: z.string().min(1, t('ui-jobs.choose-sensor-under-test')),
  litres: z
    .string()
    .refine(
      (text) => text.trim() === '' || fieldNumber(text, LITRES).ok,
      t('ui-jobs.enter-litres-example-1-6'),
    )
    .transform((text) => {
      const litres = fieldNumber(text, LITRES);
      return litres.ok ? litres.value : undefined;
    }),
});
export type NewJobDetails = z.output<typeof newJobForm>;
