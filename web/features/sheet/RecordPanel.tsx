import Box from '@mui/material/Box';
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
import { useScreen } from '../../ui/useScreen.ts';
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
  const isPhone = useScreen() === 'phone';
  const standing = new Set(sheet.standing.map(({ id }) => id));
  const lines = sheet.readings
    .filter(({ kind }) => kind !== 'withdrawal')
    .toReversed()
    .map((reading): RecordLine => {
      const counts = standing.has(reading.id);
      return {
        id: reading.id,
        counts,
        when: dayAndClock(reading.takenAt),
        where: placeInWords(reading),
        value: valueInWords(reading, units),
        conditions: 'state' in reading ? conditionsInWords(reading.state, units) : '',
        takers: takersOf(reading, sheet.instruments),
        entered: `${reading.enteredText}${sheet.unsentIds.has(reading.id) ? t('ui-sheet.waiting-sent-2') : ''}`,
        takeBack: counts && onTakeBack ? () => onTakeBack(reading) : undefined,
      };
    });
  if (lines.length === 0) return <Typography>{t('ui-sheet.nothing-been-read-yet')}</Typography>;
  return isPhone ? (
    <RecordCards lines={lines} />
  ) : (
    <RecordTable lines={lines} hasActions={onTakeBack !== undefined} />
  );
}

/** One reading as it is shown, whatever it is shown in. */
interface RecordLine {
  id: string;
  /** Neither replaced nor taken back. */
  counts: boolean;
  when: string;
  where: string;
  value: string;
  conditions: string;
  takers: readonly string[];
  entered: string;
  takeBack: (() => void) | undefined;
}

const RecordTable = ({ lines, hasActions }: { lines: readonly RecordLine[]; hasActions: boolean }) => (
  <Table size="small" aria-label={t('ui-sheet.all-readings-newest-first')}>
    <TableHead>
      <TableRow>
        <TableCell>{t('ui-sheet.time')}</TableCell>
        <TableCell>{t('ui-sheet.where')}</TableCell>
        <TableCell align="right">{t('ui-sheet.value')}</TableCell>
        <TableCell>{t('ui-sheet.state')}</TableCell>
        <TableCell>{t('ui-sheet.as-entered')}</TableCell>
        {hasActions && (
          <TableCell>
            <span style={visuallyHidden}>{t('ui-sheet.actions')}</span>
          </TableCell>
        )}
      </TableRow>
    </TableHead>
    <TableBody>
      {lines.map((line) => (
        <TableRow key={line.id} sx={line.counts ? undefined : { '& td': { textDecoration: 'line-through' } }}>
          <TableCell>{line.when}</TableCell>
          <TableCell>{line.where}</TableCell>
          <TableCell align="right" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
            {line.value}
          </TableCell>
          <TableCell>
            {line.conditions}
            {line.takers.map((name) => (
              <Typography key={name} variant="body2">
                {t('ui-sheet.with', { name })}
              </Typography>
            ))}
          </TableCell>
          <TableCell>{line.entered}</TableCell>
          {hasActions && (
            <TableCell sx={{ py: 0 }}>
              <TakeBack {...line} />
            </TableCell>
          )}
        </TableRow>
      ))}
    </TableBody>
  </Table>
);

/** On a phone: where and what in one line, the rest below it. */
const RecordCards = ({ lines }: { lines: readonly RecordLine[] }) => (
  <Box
    component="ul"
    aria-label={t('ui-sheet.all-readings-newest-first')}
    sx={{ listStyle: 'none', p: 0, m: 0 }}
  >
    {lines.map((line) => (
      <Box
        component="li"
        key={line.id}
        sx={{
          borderTop: 1,
          borderColor: 'divider',
          py: 0.75,
          textDecoration: line.counts ? 'none' : 'line-through',
        }}
      >
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box sx={{ flex: 1, fontWeight: 600 }}>{line.where}</Box>
          <Box sx={{ fontFamily: NUMERALS, fontWeight: 650, textAlign: 'right' }}>{line.value}</Box>
        </Box>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <Typography variant="body2" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
            {[
              line.when,
              line.conditions,
              ...line.takers.map((name) => t('ui-sheet.with', { name })),
              line.entered,
            ]
              .filter((part) => part !== '')
              .join(' · ')}
          </Typography>
          <TakeBack {...line} />
        </Box>
      </Box>
    ))}
  </Box>
);

const TakeBack = ({ where, value, takeBack }: Pick<RecordLine, 'where' | 'value' | 'takeBack'>) =>
  takeBack && (
    <Button
      size="small"
      color="inherit"
      aria-label={t('ui-sheet.take-back-3', { place: where, value })}
      onClick={takeBack}
      sx={{ minHeight: { xs: 48, sm: 44 } }}
    >
      {t('ui-sheet.take-back-2')}
    </Button>
  );

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
