import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { JobSummary } from '@lettura/contract';
import { dayAndTime } from '../../ui/when.ts';
import { t } from '../../ui/words.ts';

/** Nothing that was deleted is gone: it waits here to be brought back. */
export function DeletedJobs({ rows, onRestore }: { rows: JobSummary[]; onRestore: (jobId: string) => void }) {
  return (
    <Box component="details" sx={{ mt: 2 }}>
      <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 700, py: 1 }}>
        {t('ui-jobs.deleted-jobs', { length: rows.length })}
      </Box>
      <Box component="ul" aria-label={t('ui-jobs.deleted-jobs-2')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {rows.map(({ job, vehicleName, readingCount }) => (
          <Box
            component="li"
            key={job.id}
            sx={{
              display: 'flex',
              gap: 2,
              alignItems: 'center',
              borderTop: 1,
              borderColor: 'divider',
              py: 0.5,
            }}
          >
            <Typography sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
              <strong>{vehicleName}</strong>{' '}
              {t('ui-jobs.readings-deleted', {
                complaint: job.complaint,
                readingCount,
                which: job.deletedAt ? dayAndTime(job.deletedAt) : '',
              })}
            </Typography>
            <Button
              variant="outlined"
              aria-label={t('ui-jobs.bring-back', { vehicleName })}
              onClick={() => onRestore(job.id)}
            >
              {t('ui-jobs.bring-back-2')}
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
