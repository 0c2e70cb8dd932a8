import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { NUMERALS } from '../../app/theme.ts';
import { useScreen } from '../../ui/useScreen.ts';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { RecordList } from './RecordList.tsx';
import { recordLines, type RecordedSheet } from './recordLines.ts';

/** Every line of the record with all that is known of it, for paper; on a phone each opens. */
export function RecordTable({ sheet, units }: { sheet: RecordedSheet; units: Units }) {
  const isPhone = useScreen() === 'phone';
  const lines = recordLines(sheet, units);
  if (isPhone || lines.length === 0) return <RecordList lines={lines} />;
  return (
    <Table size="small" aria-label={t('ui-sheet.all-readings-newest-first')}>
      <TableHead>
        <TableRow>
          <TableCell>{t('ui-sheet.time')}</TableCell>
          <TableCell>{t('ui-sheet.where')}</TableCell>
          <TableCell align="right">{t('ui-sheet.value')}</TableCell>
          <TableCell>{t('ui-sheet.state')}</TableCell>
          <TableCell>{t('ui-sheet.as-entered')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map(({ reading, counts, when, where, value, conditions, takers, entered }) => (
          <TableRow key={reading.id} sx={counts ? undefined : { '& td': { textDecoration: 'line-through' } }}>
            <TableCell>{when}</TableCell>
            <TableCell>{where}</TableCell>
            <TableCell align="right" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
              {value}
            </TableCell>
            <TableCell>
              {conditions}
              {takers.map((name) => (
                <Typography key={name} variant="body2">
                  {t('ui-sheet.with', { name })}
                </Typography>
              ))}
            </TableCell>
            <TableCell>{entered}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
