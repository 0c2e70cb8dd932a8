import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { calibrationOverdue, type Instrument } from '@lettura/contract';
import { t } from '../../ui/words.ts';

/** When an instrument was calibrated, and until when that holds. */
export function Calibrated({ one, today }: { one: Instrument; today: string }) {
  const overdue = calibrationOverdue(one, today);
  return (
    <Box>
      {one.calibratedOn
        ? t('ui-instruments.on', { calibratedOn: one.calibratedOn })
        : t('ui-instruments.no-date-noted')}
      <Typography
        variant="body2"
        sx={overdue ? { color: 'warning.main', fontWeight: 700 } : { color: 'text.secondary' }}
      >
        {overdue
          ? t('ui-instruments.overdue-since', { calibrationDue: one.calibrationDue ?? '' })
          : one.calibrationDue && t('ui-instruments.due', { calibrationDue: one.calibrationDue })}
      </Typography>
    </Box>
  );
}
