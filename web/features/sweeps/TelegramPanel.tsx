import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TablePagination from '@mui/material/TablePagination';
import Typography from '@mui/material/Typography';
import { formatWithBasis, type PressureUnit } from '@lettura/core/measure/quantity';
import type { SensorProfile } from '@lettura/core/measure/transfer';
import { fastChannelsOf, fastValues, valueOfStep } from '@lettura/core/recording/telegram';
import { useMemo, useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { downloadText } from '../../ui/downloadText.ts';
import { fileName } from '../../ui/fileName.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { WIDE_ONLY } from '../../ui/wideOnly.ts';
import { t } from '../../ui/words.ts';
import type { ReadTelegrams } from './sweepMessages.ts';
import { SerialMessages } from './SerialMessages.tsx';
import { telegramsCsv } from './telegramsCsv.ts';
import type { View } from './useView.ts';

export interface TelegramPanelProps {
  read: ReadTelegrams;
  profile: SensorProfile;
  pressureUnit: PressureUnit;
  /** Of the recording. */
  name: string;
  onShow: (stretch: View) => void;
}

const ROWS = 12;

/** The frames of a line that carries telegrams, one a row, and the messages that they spell bit by bit. */
export function TelegramPanel({ read, profile, pressureUnit, name, onShow }: TelegramPanelProps) {
  const [page, setPage] = useState(0);
  const { telegrams } = read;
  const channels = useMemo(
    () => fastChannelsOf(telegrams).map((one) => fastValues(telegrams, one)),
    [telegrams],
  );
  const { layout, startSeconds, status, tickSeconds } = telegrams;
  const frames = status.length;
  const frameSeconds = (FRAME_TICKS + 27 * layout.nibbles) * tickSeconds;
  const shown = Array.from({ length: Math.min(ROWS, frames - page * ROWS) }, (_, i) => page * ROWS + i);
  return (
    <Box component="section" aria-label={t('ui-sweeps.telegrams')} sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t('ui-sweeps.telegrams')}
        </Typography>
        <Button
          variant="outlined"
          onClick={() =>
            downloadText(`${fileName(name)}-telegrams.csv`, 'text/csv', telegramsCsv(telegrams, channels))
          }
        >
          {t('ui-sweeps.telegrams-as-csv')}
        </Button>
      </Box>
      <Table
        size="small"
        aria-label={t('ui-sweeps.telegrams')}
        sx={{ '& td, & th': { px: { xs: 0.5, sm: 0.75 } } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-sweeps.from-ms')}</TableCell>
            <TableCell sx={WIDE_ONLY}>{t('ui-sweeps.status-nibble')}</TableCell>
            <TableCell>{t('ui-sweeps.data-nibbles')}</TableCell>
            {channels.map((_, i) => (
              <TableCell key={i} align="right">
                {t('ui-sweeps.value-number', { number: i + 1 })}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.map((frame) => (
            <TableRow key={frame}>
              <TableCell>
                <Button
                  size="small"
                  color="inherit"
                  onClick={() =>
                    onShow({
                      fromSeconds: startSeconds[frame]!,
                      toSeconds: startSeconds[frame]! + frameSeconds,
                    })
                  }
                  sx={{ fontFamily: NUMERALS, minWidth: 0 }}
                >
                  {(1000 * startSeconds[frame]!).toFixed(2)}
                </Button>
              </TableCell>
              <TableCell sx={{ ...WIDE_ONLY, fontFamily: NUMERALS }}>
                {hexOf(telegrams.status, frame, 1)}
              </TableCell>
              <TableCell sx={{ fontFamily: NUMERALS }}>
                {hexOf(telegrams.data, frame, layout.nibbles)}
              </TableCell>
              {channels.map((values, i) => (
                <Numeral key={i}>
                  {values[frame]}
                  {i === 0 && (
                    <Box sx={{ whiteSpace: 'nowrap' }}>
                      {valueSaid(values[frame]!, profile, pressureUnit)}
                    </Box>
                  )}
                </Numeral>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <TablePagination
        component="div"
        count={frames}
        page={page}
        rowsPerPage={ROWS}
        rowsPerPageOptions={[]}
        onPageChange={(_event, next) => setPage(next)}
        labelDisplayedRows={({ from, to, count }) => t('ui-sweeps.rows-of-all', { from, to, count })}
        slotProps={{
          actions: {
            previousButton: { 'aria-label': t('ui-sweeps.frames-before') },
            nextButton: { 'aria-label': t('ui-sweeps.frames-after') },
          },
        }}
      />
      <SerialMessages messages={read.serial} frames={frames} />
    </Box>
  );
}
/** Calibration, and status and checksum at their longest. */
const FRAME_TICKS = 56 + 2 * 27;

const hexOf = (nibbles: Uint8Array, frame: number, count: number): string =>
  Array.from(nibbles.subarray(frame * count, (frame + 1) * count), (one) =>
    one.toString(16).toUpperCase(),
  ).join('');

function valueSaid(step: number, profile: SensorProfile, unit: PressureUnit): string {
  const value = valueOfStep(step, profile);
  return Number.isFinite(value) ? formatWithBasis(value, profile.measures, unit) : t('ui-sweeps.no-value');
}
