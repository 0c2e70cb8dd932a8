import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import type { Layout, TimeForm } from '@lettura/core/recordingFile';
import { CHANNEL_USES, type ChannelUse } from '@lettura/core/sweep';
import { NUMERALS } from '../../app/theme.ts';
import { USE_WORDS } from './useWords.ts';

const TIME_WORDS: Record<TimeForm, string> = {
  s: 'Time in seconds',
  ms: 'Time in milliseconds',
  µs: 'Time in microseconds',
  clock: 'Time of day',
  date: 'Date and time',
  none: 'No time',
};

export interface ColumnTableProps {
  layout: Layout;
  firstRows: readonly (readonly string[])[];
  uses: readonly ChannelUse[];
  onLayout: (layout: Layout) => void;
  onUses: (uses: ChannelUse[]) => void;
}

/** Each column with its first values and what it is taken for. */
export function ColumnTable({ layout, firstRows, uses, onLayout, onUses }: ColumnTableProps) {
  const channelOf = (column: number): number =>
    layout.timeColumn !== undefined && column > layout.timeColumn ? column - 1 : column;
  return (
    <Table size="small" aria-label="Columns of the file" sx={{ '& td, & th': { px: 1 } }}>
      <TableHead>
        <TableRow>
          <TableCell>Column</TableCell>
          <TableCell>Unit</TableCell>
          <TableCell>First values</TableCell>
          <TableCell>It is</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {layout.columns.map(({ name, unit }, column) => (
          <TableRow key={column}>
            <TableCell sx={{ fontWeight: 650 }}>{name}</TableCell>
            <TableCell>{unit || '–'}</TableCell>
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
                  label={`What ${name} is`}
                  value={layout.timeForm}
                  onChange={(event) => onLayout({ ...layout, timeForm: event.target.value as TimeForm })}
                  sx={{ minWidth: 210 }}
                >
                  {Object.entries(TIME_WORDS)
                    .filter(([form]) => form !== 'none')
                    .map(([form, words]) => (
                      <MenuItem key={form} value={form}>
                        {words}
                      </MenuItem>
                    ))}
                </TextField>
              ) : (
                <TextField
                  select
                  size="small"
                  label={`What ${name} is`}
                  value={uses[channelOf(column)] ?? 'other'}
                  onChange={(event) =>
                    onUses(
                      uses.map((use, i) =>
                        i === channelOf(column) ? (event.target.value as ChannelUse) : use,
                      ),
                    )
                  }
                  sx={{ minWidth: 210 }}
                >
                  {CHANNEL_USES.map((use) => (
                    <MenuItem key={use} value={use}>
                      {USE_WORDS[use]}
                    </MenuItem>
                  ))}
                </TextField>
              )}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
