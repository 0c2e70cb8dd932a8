import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { useSensorRecordQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { t } from '../../ui/words.ts';
import { PointsOverTime } from './PointsOverTime.tsx';

/** One sensor on all machines: what each of its points has read, in one state, over all jobs. */
export default function SensorRecordPage() {
  const { sensorId = '' } = useParams();
  const { data, error } = useSensorRecordQuery(sensorId);
  useEffect(() => {
    if (data) document.title = t('ui-machines.page', { name: data.sensor.name });
  }, [data]);
  if (error && !data)
    return (
      <Trouble {...requestProblem(error)}>
        <Button component={Link} to="/sensors" variant="contained">
          {t('ui-machines.all-sensors')}
        </Button>
      </Trouble>
    );
  if (!data) return <Loading what={t('ui-machines.the-readings')} />;
  const { sensor, jobs, jobsInAll } = data;
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-machines.read-with', { name: sensor.name })}>
        <LibraryLinks />
      </PageHeader>
      <Box
        component="main"
        sx={{
          p: 2,
          my: 2,
          maxWidth: 1000,
          mx: { xs: 1, md: 'auto' },
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'sheet.rule',
          borderRadius: 1,
        }}
      >
        <Typography variant="h2" sx={{ mb: 1 }}>
          {t('ui-machines.jobs-with-sensor', { count: jobsInAll })}
        </Typography>
        {jobsInAll > jobs.length && (
          <Typography>{t('ui-machines.newest-only', { shown: jobs.length, all: jobsInAll })}</Typography>
        )}
        <PointsOverTime jobs={jobs} along="sensor" />
      </Box>
    </Box>
  );
}
