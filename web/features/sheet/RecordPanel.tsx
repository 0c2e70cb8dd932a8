import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { instrumentsNamed, type Instrument, type Reading } from '@lettura/contract';
import type { MachineState } from '@lettura/core/machine/places';
import { formatPressure } from '@lettura/core/measure/quantity';
import { NUMERALS } from '../../app/theme.ts';
import { briefState, dayAndClock, placeInWords, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import type { Sheet } from './useSheet.ts';
import { t } from '../../ui/words.ts';

export interface RecordPanelProps {
  sheet: Pick<Sheet, 'readings' | 'standing' | 'unsentIds' | 'instruments'>;
  units: Units;
  onTakeBack?: (reading: Reading) => void;
}

/** Every line of the record, also those replaced or taken back: nothing is ever lost. */
export function RecordPanel({ sheet, units, onTakeBack }: RecordPanelProps) {
  const standing = new Set(sheet.standing.map(({ id }) => id));
  const lines = sheet.readings.filter(({ kind }) => kind !== 'withdrawal').toReversed();
  if (lines.length === 0) return <Typography>{t('ui-sheet.nothing-been-read-yet')}</Typography>;
  return (
    <Table size="small" aria-label={t('ui-sheet.all-readings-newest-first')}>
      <TableHead>
        <TableRow>
          <TableCell>{t('ui-sheet.time')}</TableCell>
          <TableCell>{t('ui-sheet.where')}</TableCell>
          <TableCell align="right">{t('ui-sheet.value')}</TableCell>
          <TableCell>{t('ui-sheet.state')}</TableCell>
          <TableCell>{t('ui-sheet.as-entered')}</TableCell>
          {onTakeBack && (
            <TableCell>
              <span style={visuallyHidden}>{t('ui-sheet.actions')}</span>
            </TableCell>
          )}
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((reading) => {
          const counts = standing.has(reading.id);
          return (
            <TableRow
              key={reading.id}
              sx={counts ? undefined : { '& td': { textDecoration: 'line-through' } }}
            >
              <TableCell>{dayAndClock(reading.takenAt)}</TableCell>
              <TableCell>{placeInWords(reading)}</TableCell>
              <TableCell align="right" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
                {valueInWords(reading, units)}
              </TableCell>
              <TableCell>
                {'state' in reading ? conditionsInWords(reading.state, units) : ''}
                {takersOf(reading, sheet.instruments).map((name) => (
                  <Typography key={name} variant="body2">
                    {t('ui-sheet.with', { name })}
                  </Typography>
                ))}
              </TableCell>
              <TableCell>
                {reading.enteredText}
                {sheet.unsentIds.has(reading.id) ? t('ui-sheet.waiting-sent-2') : ''}
              </TableCell>
              {onTakeBack && (
                <TableCell sx={{ py: 0 }}>
                  {counts && (
                    <Button
                      size="small"
                      color="inherit"
                      aria-label={t('ui-sheet.take-back-3', {
                        place: placeInWords(reading),
                        value: valueInWords(reading, units),
                      })}
                      onClick={() => onTakeBack(reading)}
                    >
                      {t('ui-sheet.take-back-2')}
                    </Button>
                  )}
                </TableCell>
              )}
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}

/** The state with the setting of a pump, which tells one step from the next. */
function conditionsInWords(state: MachineState, units: Units): string {
  const { stimulus } = state;
  if (stimulus?.kind !== 'pump') return briefState(state);
  const { kpaAboveAmbient } = stimulus;
  const size = formatPressure(Math.abs(kpaAboveAmbient), kpaAboveAmbient < 0 ? units.vacuum : units.absolute);
  return `${briefState(state)}, ${size}${kpaAboveAmbient < 0 ? ' vacuum' : ''}`;
}

const takersOf = (reading: Reading, instruments: readonly Instrument[]): string[] =>
  instrumentsNamed(reading).flatMap((id) => instruments.find((one) => one.id === id)?.name ?? []);
