import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { standingReadings, type JobSheet } from '@lettura/contract';
import { Link } from 'react-router';
import { causeInWords } from '../../ui/causeInWords.ts';
import { workInWords } from '../../ui/inWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { t } from '../../ui/words.ts';

/** What came of each job, newest first: what was complained of, what was found, what was done. */
export function MachineJobs({ jobs }: { jobs: readonly JobSheet[] }) {
  return (
    <Box component="ul" aria-label={t('ui-machines.jobs')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {jobs.map(({ job, sensor, verdicts, readings }) => {
        const works = standingReadings(readings).filter((one) => one.kind === 'work');
        return (
          <Box
            component="li"
            key={job.id}
            sx={{ borderTop: 1, borderColor: 'divider', py: 1, overflowWrap: 'anywhere' }}
          >
            <MuiLink
              component={Link}
              to={`/jobs/${job.id}`}
              sx={{ fontWeight: 700, color: 'text.primary', display: 'inline-block', py: 0.5 }}
            >
              {dayAndTime(job.openedAt)}: {job.complaint}
            </MuiLink>
            <Typography variant="body2">
              {[sensor.name, job.codes.join(', '), job.history].filter((part) => part !== '').join(' · ')}
            </Typography>
            {verdicts.length === 0 && <Typography variant="body2">{t('ui-machines.no-verdict')}</Typography>}
            {verdicts.map(({ id, cause, decidedAt, note }) => (
              <Typography key={id}>
                <strong>{causeInWords(cause)}</strong> ({dayAndTime(decidedAt)}){note && `: ${note}`}
              </Typography>
            ))}
            {works.map((work) => (
              <Typography key={work.id}>
                {t('ui-machines.done', { when: dayAndTime(work.takenAt), what: workInWords(work) })}
              </Typography>
            ))}
          </Box>
        );
      })}
    </Box>
  );
}
