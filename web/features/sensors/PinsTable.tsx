import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { Pin } from '@lettura/contract';
import { PIN_WORDS } from './pinWords.ts';
import { t } from '../../ui/words.ts';

/** The plug, terminal by terminal. */
export function PinsTable({ pins }: { pins: readonly Pin[] }) {
  return (
    <Table size="small" aria-label={t('ui-sensors.pins')} sx={{ maxWidth: 460 }}>
      <TableHead>
        <TableRow>
          <TableCell>{t('ui-sensors.terminal')}</TableCell>
          <TableCell>{t('ui-sensors.wire')}</TableCell>
          <TableCell>{t('ui-sensors.colour')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {pins.map(({ terminal, wire, colour }) => (
          <TableRow key={terminal}>
            <TableCell component="th" scope="row">
              {terminal}
            </TableCell>
            <TableCell>{PIN_WORDS[wire]}</TableCell>
            <TableCell>{colour || '–'}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
