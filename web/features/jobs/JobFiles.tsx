import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useTakeInJobsMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { Fold } from '../../ui/Fold.tsx';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** All jobs as a file, for keeping or for another workshop, and such a file back in. */
export function JobFiles({ hasJobs }: { hasJobs: boolean }) {
  const [takeIn, { data, error, isLoading, reset }] = useTakeInJobsMutation();
  const problem = error ? requestProblem(error) : undefined;
  return (
    <Box sx={{ mt: 2, maxWidth: 720 }}>
      <Fold summary={t('ui-jobs.jobs-as-files')}>
        <Typography variant="body2" sx={{ mb: 1 }}>
          {t('ui-jobs.jobs-as-files-words')}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1 }}>
          {hasJobs && (
            <Button
              component="a"
              href="/api/job-files"
              download={`lettura-jobs-${new Date().toISOString().slice(0, 10)}.jsonl`}
              variant="outlined"
              color="inherit"
              sx={{ minHeight: 48 }}
            >
              {t('ui-jobs.save-all-jobs')}
            </Button>
          )}
          <FileButton
            accept=".json,.jsonl,.ndjson,application/json,application/x-ndjson"
            disabled={isLoading}
            sx={{ minHeight: 48 }}
            onFile={(file) => void takeIn(file)}
          >
            {isLoading ? t('ui-jobs.taking-in') : t('ui-jobs.take-in-file')}
          </FileButton>
        </Box>
        {problem && (
          <Alert severity="error" onClose={reset}>
            <SaidProblem problem={problem} />
          </Alert>
        )}
        {data && (
          <Alert severity="success" onClose={reset}>
            {t('ui-jobs.taken-in', { ...data })}
          </Alert>
        )}
      </Fold>
    </Box>
  );
}
