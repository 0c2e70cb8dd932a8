import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { AnsweredStep, SweepContext } from '@lettura/core/recording/sweep';
import { useEffect, useState } from 'react';
import { Numeral } from '../../ui/Numeral.tsx';
import { t } from '../../ui/words.ts';
import type { AskSweep } from './useSweepWorker.ts';
import type { View } from './useView.ts';

export interface StepTableProps {
  ask: AskSweep;
  context: SweepContext;
  /** From one sample to the next: nothing is known finer. */
  sampleSeconds: number;
  onShow: (stretch: View) => void;
}

const MOST_SHOWN = 24;

/** How the signal answered each step: after how long, how fast, and how far past its new level. */
export function StepTable({ ask, context, sampleSeconds, onShow }: StepTableProps) {
  const [steps, setSteps] = useState<readonly AnsweredStep[]>([]);
  useEffect(() => {
    let current = true;
    void ask('steps', { context }).then((answer) => {
      if (current && answer.ok) setSteps(answer.value);
    });
    return () => {
      current = false;
    };
  }, [ask, context]);
  if (steps.length === 0) return null;
  const lasting = (seconds: number) =>
    Math.abs(seconds) < sampleSeconds ? `< ${inMs(sampleSeconds)}` : inMs(seconds);
  const driven = steps.some((step) => step.stimulus);
  return (
    <Box component="section" aria-label={t('ui-sweeps.steps-answered')} sx={{ mt: 2 }}>
      <Typography variant="h2">{t('ui-sweeps.steps-answered')}</Typography>
      <Table size="small" aria-label={t('ui-sweeps.steps-answered')} sx={{ '& td, & th': { px: 0.5 } }}>
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-sweeps.from-s')}</TableCell>
            <TableCell align="right">{t('ui-sweeps.from-to-volts')}</TableCell>
            {driven && <TableCell align="right">{t('ui-sweeps.dead-time-ms')}</TableCell>}
            <TableCell align="right">{t('ui-sweeps.percent-ms', { percent: 63 })}</TableCell>
            <TableCell align="right">{t('ui-sweeps.percent-ms', { percent: 90 })}</TableCell>
            <TableCell align="right">{t('ui-sweeps.overshoot-percent')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {steps.slice(0, MOST_SHOWN).map((step) => (
            <TableRow key={step.fromSeconds}>
              <TableCell>
                <Button
                  size="small"
                  aria-label={t('ui-sweeps.show-s', { fromSeconds: step.fromSeconds.toFixed(1) })}
                  onClick={() =>
                    onShow({
                      fromSeconds: step.fromSeconds - step.secondsTo90,
                      toSeconds: step.fromSeconds + 3 * step.secondsTo90,
                    })
                  }
                  sx={{ minWidth: 44, px: 0.5 }}
                >
                  {step.fromSeconds.toFixed(1)}
                </Button>
              </TableCell>
              <Numeral>
                {step.initial.toFixed(2)} → {step.final.toFixed(2)}
              </Numeral>
              {driven && <Numeral>{step.stimulus ? lasting(step.stimulus.deadSeconds) : '–'}</Numeral>}
              <Numeral>{lasting(step.secondsTo63)}</Numeral>
              <Numeral>{lasting(step.secondsTo90)}</Numeral>
              <Numeral>{step.overshootPercent.toFixed(1)}</Numeral>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {driven
          ? t('ui-sweeps.steps-beside-stimulus', { slowest: lasting(slowestOf(steps)) })
          : t('ui-sweeps.steps-without-stimulus')}
      </Typography>
      {steps.length > MOST_SHOWN && (
        <Typography variant="body2">
          {t('ui-sweeps.and-more', { length: steps.length - MOST_SHOWN })}
        </Typography>
      )}
    </Box>
  );
}

const inMs = (seconds: number): string => (1000 * seconds).toFixed(Math.abs(seconds) < 0.01 ? 1 : 0);
const slowestOf = (steps: readonly AnsweredStep[]): number =>
  Math.max(...steps.map((step) => step.stimulus?.secondsTo63 ?? 0));
