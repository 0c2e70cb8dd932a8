import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import MuiLink from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { standingReadings, type JobSheet } from '@lettura/contract';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { selectUnits } from '../../app/preferences.ts';
import { Loading } from '../../ui/Centred.tsx';
import { causeInWords, dayAndTime, workInWords } from '../../ui/inWords.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { t } from '../../ui/words.ts';
import { pointsOverTime, type PointOverTime } from './pointsOverTime.ts';

const PointChart = lazy(() => import('./PointChart.tsx'));

/** Of one machine, with the work that was done in between; or of one sensor on all machines, where one reading is worth seeing. */
export type Along = 'machine' | 'sensor';
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

function TimeTable({
  point,
  jobs,
  along,
}: {
  point: PointOverTime;
  jobs: readonly JobSheet[];
  along: Along;
}) {
  const hasJobs = along === 'sensor' || jobs.length > 1;
  const works = (along === 'machine' ? jobs : []).flatMap(({ job, readings }) =>
    standingReadings(readings)
      .filter((one) => one.kind === 'work')
      .map((work) => ({
        id: work.id,
        jobId: job.id,
        takenAt: work.takenAt,
        words: workInWords(work),
        isWork: true,
      })),
  );
  const lines = [...point.readings.map((one) => ({ ...one, isWork: false })), ...works].sort((a, b) =>
    a.takenAt.localeCompare(b.takenAt),
  );
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table
        size="small"
        aria-label={t('ui-machines.readings-of-point', { place: point.place, state: point.state })}
      >
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-machines.when')}</TableCell>
            <TableCell align="right">{t('ui-machines.read')}</TableCell>
            {hasJobs && (
              <TableCell>
                {t(along === 'machine' ? 'ui-machines.job' : 'ui-machines.machine-and-word')}
              </TableCell>
            )}
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map(({ id, jobId, takenAt, words, isWork }) => (
            <TableRow key={id}>
              <TableCell>{dayAndTime(takenAt)}</TableCell>
              {isWork ? <TableCell sx={{ fontWeight: 700 }}>{words}</TableCell> : <Numeral>{words}</Numeral>}
              {hasJobs && (
                <TableCell>
                  <MuiLink component={Link} to={`/jobs/${jobId}`} sx={{ color: 'text.primary' }}>
                    {nameOf(
                      jobs.find(({ job }) => job.id === jobId)!,
                      along,
                    )}
                  </MuiLink>
                </TableCell>
              )}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** On its machine a job is known by what was wrong; beside others by its machine, and by the last word on it. */
const nameOf = ({ job, vehicle, verdicts }: JobSheet, along: Along): string =>
  along === 'machine'
    ? job.complaint
    : t('ui-machines.machine-with-word', {
        machine: vehicle.name,
        word: verdicts.length > 0 ? causeInWords(verdicts.at(-1)!.cause) : t('ui-machines.no-verdict'),
      });
