import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { useMachineQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { t } from '../../ui/words.ts';
import { MachineJobs } from './MachineJobs.tsx';
import { PointsOverTime } from './PointsOverTime.tsx';

/** One vehicle or machine: every job on it, what was found and done, and what its points have read over time. */
export default function MachinePage() {
  const { vehicleId = '' } = useParams();
  const { data, error } = useMachineQuery(vehicleId);
  useEffect(() => {
    if (data) document.title = t('ui-machines.page', { name: data.vehicle.name });
  }, [data]);
  if (error && !data)
    return (
      <Trouble {...requestProblem(error)}>
        <Button component={Link} to="/" variant="contained">
          {t('ui-machines.all-jobs')}
        </Button>
      </Trouble>
    );
  if (!data) return <Loading what={t('ui-machines.the-machine')} />;
  const { vehicle, jobs, jobsInAll } = data;
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={vehicle.name}>
        <LibraryLinks />
      </PageHeader>
      <Box
        component="main"
        sx={{
          p: 2,
          maxWidth: 1240,
          mx: 'auto',
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          gap: 2,
          alignItems: 'start',
        }}
      >
        <Box sx={PAPER}>
          <Typography variant="h2">{t('ui-machines.what-was-done', { count: jobsInAll })}</Typography>
          {vehicle.displacementLitres !== undefined && (
            <Typography variant="body2">
              {t('ui-machines.engine-litres', { litres: vehicle.displacementLitres })}
            </Typography>
          )}
          {jobsInAll > jobs.length && (
            <Typography>{t('ui-machines.newest-only', { shown: jobs.length, all: jobsInAll })}</Typography>
          )}
          <MachineJobs jobs={jobs} />
        </Box>
        <Box sx={PAPER}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {t('ui-machines.points-over-time')}
          </Typography>
          <PointsOverTime jobs={jobs} along="machine" />
        </Box>
      </Box>
    </Box>
  );
}

const PAPER = {
  bgcolor: 'background.paper',
  border: 1,
  borderColor: 'sheet.rule',
  borderRadius: 1,
  p: 2,
} as const;
