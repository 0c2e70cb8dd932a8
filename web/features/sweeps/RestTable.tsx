import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { formatWithBasis, type PressureUnit } from '@lettura/core/measure/quantity';
import { channelScale, type Plateau, type SweepMark } from '@lettura/core/recording/sweep';
import { isSent, valueAtNominal, type SensorProfile } from '@lettura/core/measure/transfer';
import { useEffect, useState } from 'react';
import { fitOf } from '@lettura/core/judge/expectation';
import { FIT_SIGNS } from '../../ui/fit.ts';
import { PAPER } from '../../ui/paper.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import type { AskSweep } from './useSweepWorker.ts';
import type { View } from './useView.ts';
import { t } from '../../ui/words.ts';

export interface RestTableProps {
  ask: AskSweep;
  /** Of the signal. */
  channel: number;
  unit: string;
  profile: SensorProfile;
  pressureUnit: PressureUnit;
  /** Whether another channel is the reference. */
  referenceRecorded: boolean;
  marks: readonly SweepMark[];
  onShow: (stretch: View) => void;
}

const MOST_SHOWN = 24;

/** Every level at which the signal stood: what a meter would have shown there, and what was expected. */
export function RestTable({
  ask,
  channel,
  unit,
  profile,
  pressureUnit,
  referenceRecorded,
  marks,
  onShow,
}: RestTableProps) {
  const [rests, setRests] = useState<readonly Plateau[]>([]);
  useEffect(() => {
    let current = true;
    void ask('rests', { channel }).then((answer) => {
      if (current && answer.ok) setRests(answer.value);
    });
    return () => {
      current = false;
    };
  }, [ask, channel]);
  const read = channelScale({ use: 'signal', unit, measures: profile.measures, ambientKpaAbs: undefined });
  if (rests.length === 0 || 'question' in read) return null;
  return (
    <Box component="section" aria-label={t('ui-sweeps.where-signal-stood')} sx={PAPER}>
      <Typography variant="h2">{t('ui-sweeps.where-signal-stood')}</Typography>
      <Table size="small" aria-label={t('ui-sweeps.where-signal-stood')} sx={{ '& td, & th': { px: 0.75 } }}>
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-sweeps.from-s')}</TableCell>
            <TableCell align="right">{t('ui-sweeps.volts')}</TableCell>
            <TableCell align="right">{t('ui-sweeps.that-is')}</TableCell>
            <TableCell>{t('ui-sweeps.marked')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rests.slice(0, MOST_SHOWN).map(({ fromSeconds, untilSeconds, mean: level }) => {
            const mean = level * read.scale;
            const marked = marks.find(
              ({ atSeconds }) => fromSeconds <= atSeconds && atSeconds <= untilSeconds,
            );
            return (
              <TableRow key={fromSeconds}>
                <TableCell>
                  <Button
                    size="small"
                    aria-label={t('ui-sweeps.show-s', { fromSeconds: fromSeconds.toFixed(1) })}
                    onClick={() => onShow({ fromSeconds, toSeconds: untilSeconds })}
                    sx={{ minWidth: 44, px: 0.5 }}
                  >
                    {fromSeconds.toFixed(1)}
                  </Button>
                </TableCell>
                <Numeral>{mean.toFixed(3)}</Numeral>
                <Numeral>
                  {isSent(profile)
                    ? '–'
                    : formatWithBasis(valueAtNominal(mean, profile), profile.measures, pressureUnit)}
                </Numeral>
                <TableCell>
                  {marked?.words} {marked?.expectedVolts && FIT_SIGNS[fitOf(mean, marked.expectedVolts)]}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      {profile.transfer.form === 'ratiometric' && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {t('ui-sweeps.worked-out-reference-v', {
            nominalReferenceVolts: profile.nominalReferenceVolts.toFixed(2),
            which: referenceRecorded
              ? t('ui-sweeps.one-recorded-not-counted-here')
              : t('ui-sweeps.assumed-none-recorded'),
          })}
        </Typography>
      )}
      {rests.length > MOST_SHOWN && (
        <Typography variant="body2">
          {t('ui-sweeps.and-more', { length: rests.length - MOST_SHOWN })}
        </Typography>
      )}
    </Box>
  );
}
