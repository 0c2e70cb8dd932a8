import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { standingReadings, type JobSheet } from '@lettura/contract';
import { Link } from 'react-router';
import { causeInWords } from '../../ui/causeInWords.ts';
import { workInWords } from '../../ui/inWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { t } from '../../ui/words.ts';
import { type PointOverTime } from './pointsOverTime.ts';

/** Of one machine, with the work that was done in between; or of one sensor on all machines, where one reading is worth seeing. */
export type Along = 'machine' | 'sensor';

export function TimeTable({
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
