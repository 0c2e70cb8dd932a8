import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { Link } from 'react-router';
import { dayAndTime } from '../../ui/when.ts';
import { WIDE_ONLY } from '../../ui/wideOnly.ts';
import { todayHere } from '../../ui/todayHere.ts';
import { t } from '../../ui/words.ts';
import { recheckInWords, stageInWords, type JobListProps } from './jobStage.ts';

export function JobTable({ rows, onDelete }: JobListProps) {
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
          {rows.map(({ job, vehicleName, sensorName, readingCount, verdict, recheckOn }) => (
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
                {stageInWords({ readingCount, verdict })}
                {recheckOn && (
                  <Typography variant="body2" sx={{ fontWeight: 700 }}>
                    {recheckInWords({ readingCount, recheckOn }, todayHere())}
                  </Typography>
                )}
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
