import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { formatWithBasis, type PressureUnit } from '@lettura/core/measure/quantity';
import type { Calibration, LevelFigure, SweepContext } from '@lettura/core/recording/sweep';
import { lazy, Suspense, useEffect, useState } from 'react';
import { downloadText } from '../../ui/downloadText.ts';
import { fileName } from '../../ui/fileName.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { t } from '../../ui/words.ts';
import { calibrationCsv } from './calibrationCsv.ts';
import type { AskSweep } from './useSweepWorker.ts';

const ErrorCurve = lazy(() => import('./ErrorCurve.tsx'));

export interface CalibrationPanelProps {
  ask: AskSweep;
  context: SweepContext;
  pressureUnit: PressureUnit;
  /** Of the recording. */
  name: string;
}

/** Errors of the sensor at the levels at which its stimulus was held, up and down, and what they come to. */
export function CalibrationPanel({ ask, context, pressureUnit, name }: CalibrationPanelProps) {
  const [found, setFound] = useState<Calibration>();
  useEffect(() => {
    let current = true;
    void ask('calibration', { context }).then((answer) => {
      if (current && answer.ok) setFound(answer.value);
    });
    return () => {
      current = false;
    };
  }, [ask, context]);
  if (!found) return null;
  const { measures, nominalReferenceVolts } = context.profile;
  const at = (value: number) => formatWithBasis(value, measures, pressureUnit);
  const ofSpan = (error: number) => signed((100 * error) / found.span);
  // One below the other: beside each other they are wider than a phone.
  const errors = (all: readonly number[]) =>
    all.length === 0
      ? '–'
      : all.map((error, i) => (
          <Box key={i} component="span" sx={{ display: 'block' }}>
            {ofSpan(error)}
          </Box>
        ));
  return (
    <Box component="section" aria-label={t('ui-sweeps.errors-at-held-levels')} sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h2" sx={{ flex: 1, minWidth: 200 }}>
          {t('ui-sweeps.errors-at-held-levels')}
        </Typography>
        <Button
          variant="outlined"
          onClick={() =>
            downloadText(`${fileName(name)}-calibration.csv`, 'text/csv', calibrationCsv(found, measures))
          }
        >
          {t('ui-sweeps.levels-as-csv')}
        </Button>
      </Box>
      <Typography variant="body2">{t('ui-sweeps.errors-in-percent-of-span')}</Typography>
      <Table
        size="small"
        aria-label={t('ui-sweeps.errors-at-held-levels')}
        sx={{ '& td, & th': { px: { xs: 0.5, sm: 1 } } }}
      >
        <TableHead>
          <TableRow>
            <TableCell align="right">{t('ui-sweeps.level')}</TableCell>
            <TableCell align="right">{t('ui-sweeps.error-up')}</TableCell>
            <TableCell align="right">{t('ui-sweeps.error-down')}</TableCell>
            <TableCell align="right">{t('ui-sweeps.error-mean')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {found.levels.map(({ level, up, down, meanError }) => (
            <TableRow key={level}>
              <Numeral>{at(level)}</Numeral>
              <Numeral>{errors(up)}</Numeral>
              <Numeral>{errors(down)}</Numeral>
              <Numeral>{ofSpan(meanError)}</Numeral>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Figures found={found} at={at} />
      <Suspense fallback={<Box sx={{ height: 260 }} />}>
        <ErrorCurve found={found} measures={measures} pressureUnit={pressureUnit} />
      </Suspense>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1 }}>
        {t('ui-sweeps.errors-hold-gauge', {
          supply: found.supply,
          volts: nominalReferenceVolts.toFixed(2),
        })}
        {found.beyondRange > 0 && ` ${t('ui-sweeps.levels-beyond-range', { levels: found.beyondRange })}`}
        {found.withoutValue > 0 && ` ${t('ui-sweeps.levels-without-value', { levels: found.withoutValue })}`}
      </Typography>
    </Box>
  );
}

interface FiguresProps {
  found: Calibration;
  at: (level: number) => string;
}

/** In the terms of IEC 61298-2, each with its sign and its place. */
function Figures({ found: { figures, allowedPercent, exceeds }, at }: FiguresProps) {
  const where = ({ percent, at: level }: LevelFigure) => ({ percent: signed(percent), level: at(level) });
  const { mostAbove, mostBelow, hysteresis, repeatability, terminalNonLinearity } = figures;
  const off = [mostAbove, mostBelow].flatMap((one) => (one ? [t('ui-sweeps.figure-off', where(one))] : []));
  const [least = '', most = ''] = [Math.min(...allowedPercent), Math.max(...allowedPercent)].map((one) =>
    one.toFixed(2),
  );
  return (
    <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.5 }}>
      <li>
        {t('ui-sweeps.figure-inaccuracy', {
          off: off.length > 0 ? off.join(', ') : t('ui-sweeps.figure-none-off'),
          allowed: least === most ? `${least} %` : t('ui-sweeps.figure-allowed-to', { least, most }),
          exceeds,
        })}
      </li>
      <li>
        {hysteresis
          ? t('ui-sweeps.figure-hysteresis', where(hysteresis))
          : t('ui-sweeps.figure-no-hysteresis')}
      </li>
      <li>
        {repeatability
          ? t('ui-sweeps.figure-repeatability', {
              percent: repeatability.percent.toFixed(2),
              level: at(repeatability.at),
              isUp: repeatability.direction === 'up',
            })
          : t('ui-sweeps.figure-no-repeatability')}
      </li>
      <li>
        {t('ui-sweeps.figure-non-linearity', {
          ...where(terminalNonLinearity),
          zeroBased: figures.zeroBasedNonLinearityPercent.toFixed(2),
          independent: figures.independentNonLinearityPercent.toFixed(2),
        })}
      </li>
    </Box>
  );
}

/** With a sign that is as wide as a figure; nothing has none. */
const signed = (value: number): string => {
  const digits = Math.abs(value).toFixed(2);
  return Number(digits) === 0 ? digits : `${value < 0 ? '−' : '+'}${digits}`;
};
