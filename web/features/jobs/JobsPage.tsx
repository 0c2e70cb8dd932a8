import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { JobSummary } from '@lettura/contract';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useDeleteJobMutation, useListJobsQuery, useRestoreJobMutation } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { WIDE_ONLY } from '../../ui/wideOnly.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { causeInWords, dayAndTime } from '../../ui/inWords.ts';
import { OutboxBanner } from '../outbox/index.ts';
import { matchesSearch } from './matchesSearch.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export default function JobsPage() {
  const { data, error, refetch } = useListJobsQuery();
  const [search, setSearch] = useState('');
  const [deletedId, setDeletedId] = useState<string>();
  const [deleteJob, deletion] = useDeleteJobMutation();
  const [restoreJob, restoring] = useRestoreJobMutation();
  useEffect(() => {
    document.title = t('ui-jobs.page');
  }, []);
  const problem = error && !data ? requestProblem(error) : undefined;
  const refused = restoring.error ?? deletion.error;
  const failed = refused ? requestProblem(refused) : undefined;
  const shown = data?.filter((row) => !row.job.deletedAt && matchesSearch(row, search));
  const deleted = data?.filter((row) => row.job.deletedAt && matchesSearch(row, search));
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-jobs.jobs')}>
        <LibraryLinks />
      </PageHeader>
      <OutboxBanner />
      <Box component="main" sx={{ p: 2, maxWidth: 1240, mx: 'auto' }}>
        <Box sx={{ display: 'flex', gap: 2, mb: 2, alignItems: 'center' }}>
          <TextField
            type="search"
            label={t('ui-jobs.search-machine-complaint-code-sensor')}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            sx={{ flex: 1 }}
          />
          <Button component={Link} to="/jobs/new" variant="contained" size="large">
            {t('ui-jobs.new-job')}
          </Button>
        </Box>
        {deletedId && (
          <Alert
            severity="info"
            sx={{ mb: 2 }}
            onClose={() => setDeletedId(undefined)}
            action={
              <Button
                color="inherit"
                onClick={() => {
                  void restoreJob(deletedId);
                  setDeletedId(undefined);
                }}
              >
                {t('ui-jobs.undo')}
              </Button>
            }
          >
            {t('ui-jobs.job-deleted')}
          </Alert>
        )}
        {failed && (
          <Alert severity="error" sx={{ mb: 2 }}>
            <SaidProblem problem={failed} />
          </Alert>
        )}
        {problem && (
          <Trouble message={problem.message} next={problem.next}>
            <Button variant="contained" onClick={() => void refetch()}>
              {t('ui-jobs.try-again')}
            </Button>
          </Trouble>
        )}
        {!shown && !problem && <Loading what={t('ui-jobs.jobs-2')} />}
        {shown?.length === 0 && (
          <Typography>
            {search ? t('ui-jobs.no-job-matches-search') : t('ui-jobs.no-jobs-yet-open-first')}
          </Typography>
        )}
        {shown && shown.length > 0 && (
          <JobTable
            rows={shown}
            onDelete={(jobId) =>
              void deleteJob(jobId).then((result) => 'data' in result && setDeletedId(jobId))
            }
          />
        )}
        {deleted && deleted.length > 0 && (
          <DeletedJobs
            rows={deleted}
            onRestore={(jobId) => {
              void restoreJob(jobId);
              if (jobId === deletedId) setDeletedId(undefined);
            }}
          />
        )}
      </Box>
    </Box>
  );
}

function JobTable({ rows, onDelete }: { rows: JobSummary[]; onDelete: (jobId: string) => void }) {
  return (
    <Box
      sx={{
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'sheet.rule',
        borderRadius: 1,
        overflowX: 'auto',
        // Words for the ear alone stand apart, and would widen the page from a column out of sight.
        position: 'relative',
      }}
    >
      <Table aria-label={t('ui-jobs.jobs')} size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-jobs.machine')}</TableCell>
            <TableCell>{t('ui-jobs.complaint')}</TableCell>
            <TableCell>{t('ui-jobs.codes')}</TableCell>
            <TableCell align="right" sx={WIDE_ONLY}>
              {t('ui-jobs.readings')}
            </TableCell>
            <TableCell>{t('ui-jobs.verdict')}</TableCell>
            <TableCell sx={WIDE_ONLY}>{t('ui-jobs.opened')}</TableCell>
            <TableCell>
              <span style={visuallyHidden}>{t('ui-jobs.actions')}</span>
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ job, vehicleName, sensorName, readingCount, verdict }) => (
            <TableRow key={job.id} hover>
              <TableCell sx={{ minWidth: 190, overflowWrap: 'anywhere' }}>
                <MuiLink
                  component={Link}
                  to={`/jobs/${job.id}`}
                  sx={{
                    fontWeight: 700,
                    color: 'text.primary',
                    display: 'inline-block',
                    pt: 1,
                  }}
                >
                  {vehicleName}
                </MuiLink>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                  {sensorName}
                </Typography>
              </TableCell>
              <TableCell sx={{ maxWidth: 420, overflowWrap: 'anywhere' }}>{job.complaint}</TableCell>
              <TableCell>{job.codes.join(', ') || t('ui-jobs.none')}</TableCell>
              <TableCell align="right" sx={WIDE_ONLY}>
                {readingCount}
              </TableCell>
              <TableCell sx={{ fontWeight: verdict ? 700 : 400 }}>
                {verdict
                  ? causeInWords(verdict.cause)
                  : readingCount > 0
                    ? t('ui-jobs.in-work')
                    : t('ui-jobs.not-started')}
              </TableCell>
              <TableCell sx={{ ...WIDE_ONLY, whiteSpace: 'nowrap' }}>{dayAndTime(job.openedAt)}</TableCell>
              <TableCell>
                <Button
                  color="inherit"
                  aria-label={t('ui-jobs.delete', { vehicleName })}
                  onClick={() => onDelete(job.id)}
                >
                  {t('ui-jobs.delete-2')}
                </Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** Nothing that was deleted is gone: it waits here to be brought back. */
function DeletedJobs({ rows, onRestore }: { rows: JobSummary[]; onRestore: (jobId: string) => void }) {
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
