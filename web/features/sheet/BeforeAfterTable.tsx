import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { beforeAndAfter, type CaseFile } from '@lettura/core/judge/checks';
import { Numeral } from '../../ui/Numeral.tsx';
import { conditionsInWords, placeInWords, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { enInWords } from '../../ui/numbersInWords.ts';
import { t } from '../../ui/words.ts';

/** The same readings taken again, the first beside the last: what a repair changed, beyond the doubt of the meter. */
export function BeforeAfterTable({ caseFile, units }: { caseFile: CaseFile; units: Units }) {
  const pairs = beforeAndAfter(caseFile);
  if (pairs.length === 0) return null;
  return (
    <Box>
      <Typography variant="h2">{t('ui-sheet.before-after')}</Typography>
      <Table size="small" aria-label={t('ui-sheet.before-after')}>
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-sheet.point-state')}</TableCell>
            <TableCell align="right">{t('ui-sheet.first')}</TableCell>
            <TableCell align="right">{t('ui-sheet.last')}</TableCell>
            <TableCell>{t('ui-sheet.change')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {pairs.map(({ before, after, comparison }) => (
            <TableRow key={before.id}>
              <TableCell component="th" scope="row">
                {placeInWords(before)}, {conditionsInWords(before.state, units)}
              </TableCell>
              <Numeral>{valueInWords(before, units)}</Numeral>
              <Numeral>{valueInWords(after, units)}</Numeral>
              <TableCell>
                {comparison.outcome === 'disagree'
                  ? t('ui-sheet.en', {
                      which: comparison.difference > 0 ? '▲ risen' : '▼ fallen',
                      en: enInWords(comparison.en ?? 0),
                    })
                  : t('ui-sheet.no-change-beyond-doubt')}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
