import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useDeleteJobMutation, useListJobsQuery, useRestoreJobMutation } from '../../app/api.ts';
import { jobsHere } from '../../app/jobsHere.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { OutboxBanner } from '../outbox/index.ts';
import { useScreen } from '../../ui/useScreen.ts';
import { DeletedJobs } from './DeletedJobs.tsx';
import { JobFiles } from './JobFiles.tsx';
import { JobCards } from './JobCards.tsx';
import { JOB_FILTERS, passesFilter, type JobFilter } from './jobStage.ts';
import { JobTable } from './JobTable.tsx';
import { matchesSearch } from './matchesSearch.ts';
import { SearchField } from '../../ui/SearchField.tsx';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** So many at a time: a list of thousands is found by search, not by scrolling. */
const PAGE = 50;

export default function JobsPage() {
  const { data, error, refetch } = useListJobsQuery();
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState<JobFilter>('all');
  const [here] = useState(jobsHere);
  const [most, setMost] = useState(PAGE);
  const List = useScreen() === 'phone' ? JobCards : JobTable;
  const [deletedId, setDeletedId] = useState<string>();
  const [deleteJob, deletion] = useDeleteJobMutation();
  const [restoreJob, restoring] = useRestoreJobMutation();
  useEffect(() => {
    document.title = t('ui-jobs.page');
  }, []);
  const problem = error && !data ? requestProblem(error) : undefined;
  const refused = restoring.error ?? deletion.error;
  const failed = refused ? requestProblem(refused) : undefined;
  const found = data?.filter((row) => !row.job.deletedAt && matchesSearch(row, search));
  const shown = found?.filter((row) => passesFilter(filter, row, here));
  const deleted = data?.filter((row) => row.job.deletedAt && matchesSearch(row, search));
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-jobs.jobs')}>
        <LibraryLinks />
      </PageHeader>
      <OutboxBanner />
      <Box component="main" sx={{ p: 2, maxWidth: 1240, mx: 'auto' }}>
        <Box sx={{ display: 'flex', gap: 2, mb: 2, alignItems: 'center' }}>
          <SearchField
            label={t('ui-jobs.search-machine-complaint-code-sensor')}
            value={search}
            onChange={setSearch}
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
        {found && data && data.length > 0 && (
          <Box
            role="group"
            aria-label={t('ui-jobs.which-jobs')}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 2 }}
          >
            {JOB_FILTERS.map((one) => (
              <Button
                key={one}
                variant={one === filter ? 'contained' : 'outlined'}
                color="inherit"
                aria-pressed={one === filter}
                sx={{
                  borderColor: 'sheet.rule',
                  ...(one === filter && { bgcolor: 'text.primary', color: 'background.paper' }),
                }}
                onClick={() => setFilter(one)}
              >
                {t(`ui-jobs.filter-${one}`, {
                  count: found.filter((row) => passesFilter(one, row, here)).length,
                })}
              </Button>
            ))}
          </Box>
        )}
        {data?.length === 0 && <Welcome />}
        {data && data.length > 0 && shown?.length === 0 && (
          <Typography>
            {search ? t('ui-jobs.no-job-matches-search') : t('ui-jobs.no-job-of-that-kind')}
          </Typography>
        )}
        {shown && shown.length > 0 && (
          <List
            rows={shown.slice(0, most)}
            onDelete={(jobId) =>
              void deleteJob(jobId).then((result) => 'data' in result && setDeletedId(jobId))
            }
          />
        )}
        {shown && shown.length > most && (
          <Button variant="outlined" sx={{ mt: 1, minHeight: 48 }} onClick={() => setMost(most + PAGE)}>
            {t('ui-jobs.show-more', { shown: most, all: shown.length })}
          </Button>
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
        {data && <JobFiles hasJobs={data.length > 0} />}
      </Box>
    </Box>
  );
}

/** What to do where nothing was done yet. */
function Welcome() {
  return (
    <Box sx={{ maxWidth: 640 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t('ui-jobs.no-jobs-yet-open-first')}
      </Typography>
      <Typography sx={{ mb: 2 }}>{t('ui-jobs.welcome')}</Typography>
      <Button
        component={Link}
        to="/jobs/new?practise"
        variant="outlined"
        sx={{ mr: 1, mb: 1, minHeight: 48 }}
      >
        {t('ui-jobs.practise')}
      </Button>
      <Button component={Link} to="/sensors" variant="outlined" sx={{ mb: 1, minHeight: 48 }}>
        {t('ui-jobs.look-at-sensors')}
      </Button>
    </Box>
  );
}
