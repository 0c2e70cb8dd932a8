import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import MuiLink from '@mui/material/Link';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { dayAndTime } from '../../ui/when.ts';
import { t } from '../../ui/words.ts';
import { ANOTHER_MACHINE, type KnownMachine } from './knownMachines.ts';

/** A name is no machine: which of those that have it is meant, or another one that happens to be called the same. */
export function MachineChoice({
  known,
  value,
  onChoose,
}: {
  /** At least one. */
  known: readonly KnownMachine[];
  value: string;
  onChoose: (machine: string) => void;
}) {
  return (
    <Box sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 1.5 }}>
      <FormLabel id="which-machine" sx={{ color: 'text.primary', fontWeight: 700 }}>
        {t('ui-jobs.which-machine')}
      </FormLabel>
      <RadioGroup
        aria-labelledby="which-machine"
        value={value}
        onChange={({ target }) => onChoose(target.value)}
      >
        {known.map(({ vehicle, jobs, last }) => (
          <Box
            key={vehicle.id}
            sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'center' }}
          >
            <FormControlLabel
              value={vehicle.id}
              control={<Radio />}
              sx={{ minHeight: 48, overflowWrap: 'anywhere' }}
              label={
                last
                  ? t('ui-jobs.known-with-jobs', {
                      count: jobs,
                      day: dayAndTime(last.openedAt),
                      complaint: last.complaint,
                    })
                  : t('ui-jobs.known-without-jobs')
              }
            />
            <MuiLink component={Link} to={`/machines/${vehicle.id}`} sx={{ color: 'text.primary', py: 1.5 }}>
              {t('ui-jobs.known-machine')}
            </MuiLink>
          </Box>
        ))}
        <FormControlLabel
          value={ANOTHER_MACHINE}
          control={<Radio />}
          sx={{ minHeight: 48 }}
          label={t('ui-jobs.another-machine')}
        />
      </RadioGroup>
      {value === ANOTHER_MACHINE && (
        <Typography variant="body2" role="status">
          {t('ui-jobs.better-own-name')}
        </Typography>
      )}
    </Box>
  );
}
