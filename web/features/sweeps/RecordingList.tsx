import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { isWithdrawn, type RecordingInfo } from '@lettura/contract';
import { Link } from 'react-router';
import { noFaultInWords } from './noFaultInWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** Recordings with the faults that were found in them. */
export function RecordingList({ recordings }: { recordings: readonly RecordingInfo[] }) {
  return (
    <Box component="ul" aria-label={t('ui-sweeps.recordings')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {recordings.map((recording) => {
        const { id, name, takenAt, samples, durationSeconds, findings } = recording;
        if (isWithdrawn(recording))
          return (
            <Box component="li" key={id} sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
              <MuiLink component={Link} to={`/sweeps/${id}`} sx={{ textDecoration: 'line-through' }}>
                {name}
              </MuiLink>{' '}
              {t('ui-sweeps.withdrawn-counts-nothing')}
            </Box>
          );
        const faults = findings.filter(({ weight }) => weight === 'fault');
        return (
          <Box component="li" key={id} sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <MuiLink component={Link} to={`/sweeps/${id}`} sx={{ fontWeight: 700, fontSize: '1.05rem' }}>
              {name}
            </MuiLink>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              {t('ui-sweeps.s-samples', {
                dayAndTime: dayAndTime(takenAt),
                durationSeconds: durationSeconds.toFixed(1),
                samples: samples.toLocaleString('en-GB'),
              })}
            </Typography>
            {faults.slice(0, 3).map(({ sentence }) => (
              <Typography key={JSON.stringify(sentence)}>
                ✕ <Said message={sentence} />
              </Typography>
            ))}
            {faults.length > 3 && (
              <Typography>{t('ui-sweeps.and-more', { length: faults.length - 3 })}</Typography>
            )}
            {faults.length === 0 && <Typography>{noFaultInWords(findings)}</Typography>}
          </Box>
        );
      })}
    </Box>
  );
}
