import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type JobSheet } from '@lettura/contract';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Loading } from '../../ui/Centred.tsx';
import { t } from '../../ui/words.ts';
import { pointsOverTime } from './pointsOverTime.ts';
import { type Along, TimeTable } from './TimeTable.tsx';

const PointChart = lazy(() => import('./PointChart.tsx'));
const FEWEST: Record<Along, number> = { machine: 2, sensor: 1 };

/** What each point has read from job to job. */
export function PointsOverTime({ jobs, along }: { jobs: readonly JobSheet[]; along: Along }) {
  const units = useSelector(selectUnits);
  const points = useMemo(() => pointsOverTime(jobs, units, FEWEST[along]), [jobs, units, along]);
  const [chosen, setChosen] = useState('');
  const point = points.find(({ key }) => key === chosen) ?? points[0];
  if (!point)
    return (
      <Typography>
        {t(along === 'machine' ? 'ui-machines.nothing-read-twice' : 'ui-machines.nothing-read-with-it')}
      </Typography>
    );
  return (
    <>
      <TextField
        select
        fullWidth
        label={t('ui-machines.point')}
        value={point.key}
        onChange={(event) => setChosen(event.target.value)}
        sx={{ mb: 1, maxWidth: 720 }}
      >
        {points.map(({ key, place, state, sensor, readings }) => (
          <MenuItem key={key} value={key} sx={{ whiteSpace: 'normal' }}>
            {t('ui-machines.point-choice', { place, state, sensor, count: readings.length })}
          </MenuItem>
        ))}
      </TextField>
      <Suspense fallback={<Loading what={t('ui-machines.plot')} />}>
        <PointChart point={point} isOneMachine={along === 'machine'} />
      </Suspense>
      <TimeTable {...{ point, jobs, along }} />
    </>
  );
}
