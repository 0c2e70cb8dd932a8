import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import type { Layout, TimeForm } from '@lettura/core/recording/file';
import { NUMERALS } from '../../app/theme.ts';
import { MeaningFields, type ColumnMeaning } from './MeaningFields.tsx';
import { t } from '../../ui/words.ts';
import { TIME_WORDS } from './timeWords.ts';

export interface ColumnTableProps {
  layout: Layout;
  firstRows: readonly (readonly string[])[];
  /** By column. */
  meanings: readonly ColumnMeaning[];
  onLayout: (layout: Layout) => void;
  onMeanings: (meanings: ColumnMeaning[]) => void;
}

/** Each column with its first values, its name and unit, and what it is taken for: all of it can be put right. */
export function ColumnTable({ layout, firstRows, meanings, onLayout, onMeanings }: ColumnTableProps) {
  const rename = (column: number, part: { name?: string; unit?: string }) =>
    onLayout({
      ...layout,
      columns: layout.columns.map((one, i) => (i === column ? { ...one, ...part } : one)),
    });
  const asTime = (column: number) =>
    onLayout({
      ...layout,
      timeColumn: column,
      timeForm: layout.timeForm === 'none' ? 's' : layout.timeForm,
    });
  return (
    <Table size="small" aria-label={t('ui-sweeps.columns-file')} sx={{ '& td, & th': { px: 1 } }}>
      <TableHead>
        <TableRow>
          <TableCell>{t('ui-sweeps.column')}</TableCell>
          <TableCell>{t('ui-sweeps.first-values')}</TableCell>
          <TableCell>{t('ui-sweeps.unit-and-what-it-is')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {layout.columns.map(({ name, unit }, column) => (
          <TableRow key={column}>
            <TableCell>
              <TextField
                size="small"
                value={name}
                onChange={(event) => rename(column, { name: event.target.value })}
                slotProps={{
                  htmlInput: {
                    'aria-label': t('ui-sweeps.name-column', { column: column + 1 }),
                    maxLength: 60,
                  },
                }}
                sx={{ width: 170 }}
              />
            </TableCell>
            <TableCell sx={{ fontFamily: NUMERALS }}>
              {firstRows
                .slice(0, 3)
                .map((row) => row[column] ?? '')
                .join(' · ')}
            </TableCell>
            <TableCell>
              {column === layout.timeColumn ? (
                <TextField
                  select
                  size="small"
                  label={t('ui-sweeps.what-is', { name })}
                  value={layout.timeForm}
                  onChange={(event) => {
                    const chosen = event.target.value as TimeForm;
                    onLayout(
                      chosen === 'none'
                        ? { ...layout, timeColumn: undefined, timeForm: 'none' }
                        : { ...layout, timeForm: chosen },
                    );
                  }}
                  sx={{ minWidth: 210 }}
                >
                  {Object.entries(TIME_WORDS).map(([form, words]) => (
                    <MenuItem key={form} value={form}>
                      {words}
                    </MenuItem>
                  ))}
                  <MenuItem value="none">{t('ui-sweeps.no-time-channel')}</MenuItem>
                </TextField>
              ) : (
                <MeaningFields
                  name={name}
                  unit={unit}
                  meaning={meanings[column] ?? { use: 'other', basis: undefined }}
                  onUnit={(changed) => rename(column, { unit: changed })}
                  onMeaning={(changed) =>
                    onMeanings(
                      layout.columns.map((_, i) => (i === column ? changed : (meanings[i] ?? OTHER))),
                    )
                  }
                  onTime={() => asTime(column)}
                />
              )}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

const OTHER: ColumnMeaning = { use: 'other', basis: undefined };
