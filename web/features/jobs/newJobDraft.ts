import { z } from 'zod';
import { ownDraft } from '../../app/stored.ts';

const draft = z.object({
  vehicleName: z.string(),
  machine: z.string().default(''),
  complaint: z.string(),
  codes: z.string(),
  history: z.string(),
  sensorId: z.string(),
  litres: z.string().default(''),
});
const EMPTY = {
  vehicleName: '',
  machine: '',
  complaint: '',
  codes: '',
  history: '',
  sensorId: '',
  litres: '',
};
const storage = ownDraft('lettura.new-job', draft, EMPTY);

/** What stands in the new-job form, so that a reload or a closed tab loses nothing. */
export const newJobDraft = {
  load: storage.load,
  save: storage.save,
  clear: () => storage.save(EMPTY),
};
