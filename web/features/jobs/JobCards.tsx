import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { dayAndTime } from '../../ui/when.ts';
import { todayHere } from '../../ui/todayHere.ts';
import { t } from '../../ui/words.ts';
import { recheckInWords, stageInWords, type JobListProps } from './jobStage.ts';

/** The jobs on a phone: what a row says, one below the other. */
export function JobCards({ rows, onDelete }: JobListProps) {
  return (
    <Box component="ul" aria-label={t('ui-jobs.jobs')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {rows.map(({ job, vehicleName, sensorName, readingCount, verdict, recheckOn }) => (
        <Box
          component="li"
          key={job.id}
          sx={{
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'sheet.rule',
            borderRadius: 1,
            p: 1.25,
            mb: 1,
            overflowWrap: 'anywhere',
          }}
        >
          <MuiLink
            component={Link}
            to={`/jobs/${job.id}`}
            sx={{ display: 'block', py: 1.5, fontWeight: 700, color: 'text.primary' }}
          >
            {vehicleName}
          </MuiLink>
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {[sensorName, ...job.codes].join(' · ')}
          </Typography>
          <Typography>{job.complaint}</Typography>
          {recheckOn && (
            <Typography sx={{ fontWeight: 700 }}>
              {recheckInWords({ readingCount, recheckOn }, todayHere())}
            </Typography>
          )}
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography sx={{ flex: 1, fontWeight: verdict ? 700 : 400 }}>
              {stageInWords({ readingCount, verdict })} · {dayAndTime(job.openedAt)}
            </Typography>
            <Button
              color="inherit"
              aria-label={t('ui-jobs.delete', { vehicleName })}
              onClick={() => onDelete(job.id)}
              sx={{ minHeight: 48 }}
            >
              {t('ui-jobs.delete-2')}
            </Button>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
