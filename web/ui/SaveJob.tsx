import Button from '@mui/material/Button';
import { fileName } from './fileName.ts';
import { t } from './words.ts';

export interface SaveJobProps {
  jobId: string;
  machine: string;
  /** So many entries wait in this browser: the file is made by the server, which does not have them yet. */
  unsent: number;
}

/** The whole job as a file: what another Lettura takes in, or anybody reads as JSON. */
export function SaveJob({ jobId, machine, unsent }: SaveJobProps) {
  return (
    <Button
      component="a"
      href={`/api/jobs/${jobId}/file`}
      download={`lettura-job-${fileName(machine)}-${jobId.slice(-6)}.json`}
      variant="outlined"
      color="inherit"
    >
      {unsent > 0 ? t('ui.save-job-without', { unsent }) : t('ui.save-job-as-file')}
    </Button>
  );
}
