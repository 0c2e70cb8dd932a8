import Button from '@mui/material/Button';
import { fileName } from './fileName.ts';
import { t } from './words.ts';

/** The whole job as a file: what another Lettura takes in, or anybody reads as JSON. */
export function SaveJob({ jobId, machine }: { jobId: string; machine: string }) {
  return (
    <Button
      component="a"
      href={`/api/jobs/${jobId}/file`}
      download={`lettura-job-${fileName(machine)}-${jobId.slice(-6)}.json`}
      variant="outlined"
      color="inherit"
    >
      {t('ui.save-job-as-file')}
    </Button>
  );
}
