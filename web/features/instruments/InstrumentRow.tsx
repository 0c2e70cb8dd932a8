import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Instrument } from '@lettura/contract';
import type { PressureUnit } from '@lettura/core/measure/quantity';
import { Calibrated } from './Calibrated.tsx';
import { accuracyInWords, limitsInWords, rangeInWords, SORT_WORDS } from './instrumentWords.ts';
import { t } from '../../ui/words.ts';

interface RowProps {
  one: Instrument;
  unit: PressureUnit;
  today: string;
  onOpen: () => void;
}

export function InstrumentRow({ one, unit, today, onOpen }: RowProps) {
  return (
    <TableRow sx={{ opacity: one.retired ? 0.75 : 1 }}>
      <TableCell component="th" scope="row" sx={{ minWidth: 150, overflowWrap: 'anywhere' }}>
        <Box sx={{ fontWeight: 650 }}>{one.name}</Box>
        {SORT_WORDS[one.sort]}
        {one.retired ? t('ui-instruments.no-longer-use-2') : ''}
        {one.notes && <Typography variant="body2">{one.notes}</Typography>}
      </TableCell>
      <TableCell>{rangeInWords(one, unit)}</TableCell>
      <TableCell>
        {accuracyInWords(one, unit)}
        <Typography variant="body2">{limitsInWords(one, unit)}</Typography>
      </TableCell>
      <TableCell>
        <Calibrated {...{ one, today }} />
      </TableCell>
      <TableCell align="right">
        <Button
          color="inherit"
          variant="outlined"
          aria-label={t('ui-instruments.change', { name: one.name })}
          onClick={onOpen}
        >
          {t('ui-instruments.change-2')}
        </Button>
      </TableCell>
    </TableRow>
  );
}
