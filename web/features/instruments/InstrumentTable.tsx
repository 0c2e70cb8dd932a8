import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { Instrument } from '@lettura/contract';
import type { PressureUnit } from '@lettura/core/measure/quantity';
import { t } from '../../ui/words.ts';
import { InstrumentRow } from './InstrumentRow.tsx';

export interface InstrumentListProps {
  instruments: readonly Instrument[];
  unit: PressureUnit;
  today: string;
  onOpen: (one: Instrument) => void;
}

export function InstrumentTable({ instruments, unit, today, onOpen }: InstrumentListProps) {
  return (
    <Box sx={{ overflowX: 'auto', position: 'relative' }}>
      <Table size="small" aria-label={t('ui-instruments.instruments')}>
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-instruments.instrument')}</TableCell>
            <TableCell>{t('ui-instruments.range')}</TableCell>
            <TableCell>{t('ui-instruments.accuracy')}</TableCell>
            <TableCell>{t('ui-instruments.calibration')}</TableCell>
            <TableCell>
              <span style={visuallyHidden}>{t('ui-instruments.what-to-do')}</span>
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {instruments.map((one) => (
            <InstrumentRow key={one.id} {...{ one, unit, today }} onOpen={() => onOpen(one)} />
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
