import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { fixed, verbatim } from '@lettura/core/measure/message';
import type { AtRulers, Channel } from '@lettura/core/recording/sweep';
import { useEffect, useState } from 'react';
import { numberIn } from '../../ui/numberIn.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { t } from '../../ui/words.ts';
import { laid, momentDecimals, RULER_NAMES, type Rulers } from './rulers.ts';
import type { AskSweep } from './useSweepWorker.ts';

export interface RulerPanelProps {
  ask: AskSweep;
  channels: readonly Pick<Channel, 'name' | 'unit'>[];
  durationSeconds: number;
  rulers: Rulers;
  onLay: (rulers: Rulers) => void;
}

/** What every channel shows at one moment or two, and what lies between: read off by a tap, or by typing the moment. */
export function RulerPanel({ ask, channels, durationSeconds, rulers, onLay }: RulerPanelProps) {
  const [found, setFound] = useState<{ of: Rulers; read: readonly AtRulers[] }>();
  useEffect(() => {
    if (rulers.length === 0) return undefined;
    let current = true;
    void ask('rulers', { moments: [...rulers] }).then((answer) => {
      if (current && answer.ok) setFound({ of: rulers, read: answer.value });
    });
    return () => {
      current = false;
    };
  }, [ask, rulers]);
  const read = found?.of.length === rulers.length ? found.read : undefined;
  const [a, b] = rulers;
  const both = a !== undefined && b !== undefined;
  return (
    <Box component="section" aria-label={t('ui-sweeps.read-off')} sx={{ mt: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {RULER_NAMES.map((name, i) => (
          <MomentField
            key={name}
            label={t('ui-sweeps.ruler-at', { name: verbatim(name) })}
            seconds={rulers[i]}
            durationSeconds={durationSeconds}
            onLay={(seconds) => onLay(laid(rulers, i, seconds))}
          />
        ))}
        {both && (
          <Typography>
            {t('ui-sweeps.ruler-apart', {
              seconds: fixed(Math.abs(b - a), momentDecimals(durationSeconds), 's'),
            })}
          </Typography>
        )}
        {rulers.length > 0 && <Button onClick={() => onLay([])}>{t('ui-sweeps.rulers-off')}</Button>}
      </Box>
      {rulers.length === 0 ? (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          {t('ui-sweeps.plot-by-hand')}
        </Typography>
      ) : (
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small" aria-label={t('ui-sweeps.read-off')} sx={{ '& td, & th': { px: 0.75 } }}>
            <TableHead>
              <TableRow>
                <TableCell>{t('ui-sweeps.ruler-channel')}</TableCell>
                <TableCell align="right">{RULER_NAMES[0]}</TableCell>
                {both && (
                  <>
                    <TableCell align="right">{RULER_NAMES[1]}</TableCell>
                    <TableCell align="right">{t('ui-sweeps.ruler-difference')}</TableCell>
                    <TableCell align="right">{t('ui-sweeps.ruler-lowest')}</TableCell>
                    <TableCell align="right">{t('ui-sweeps.ruler-mean')}</TableCell>
                    <TableCell align="right">{t('ui-sweeps.ruler-highest')}</TableCell>
                  </>
                )}
              </TableRow>
            </TableHead>
            <TableBody>
              {read?.map(({ at: [atA = NaN, atB = NaN], between }, i) => {
                const { shown, rounded } = inDigitsOf(atA, atB, between?.lowest, between?.highest);
                return (
                  <TableRow key={i}>
                    <TableCell component="th" scope="row">
                      {[channels[i]?.name, channels[i]?.unit && `(${channels[i].unit})`]
                        .filter(Boolean)
                        .join(' ')}
                    </TableCell>
                    <Numeral>{shown(atA)}</Numeral>
                    {both && (
                      <>
                        <Numeral>{shown(atB)}</Numeral>
                        <Numeral>{shown(rounded(atB) - rounded(atA))}</Numeral>
                        <Numeral>{shown(between?.lowest)}</Numeral>
                        <Numeral>{shown(between?.mean)}</Numeral>
                        <Numeral>{shown(between?.highest)}</Numeral>
                      </>
                    )}
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        </Box>
      )}
    </Box>
  );
}

const DIGITS = 4;

/** As fine as a good logger tells the largest of them, a difference as of what is shown; a line where nothing was recorded. */
function inDigitsOf(...values: (number | undefined)[]): {
  shown: (value: number | undefined) => string;
  rounded: (value: number) => number;
} {
  const sizes = values.filter((value) => value !== undefined).map(Math.abs);
  const largest = Math.max(...sizes.filter((size) => !Number.isNaN(size)));
  const before = largest > 0 && largest < Infinity ? Math.floor(Math.log10(largest)) + 1 : 1;
  const decimals = Math.min(9, Math.max(0, DIGITS - before));
  return {
    rounded: (value) => Number(value.toFixed(decimals)),
    shown: (value) =>
      value === undefined || Number.isNaN(value)
        ? '–'
        : t('ui-sweeps.ruler-value', { value: fixed(value, decimals) }),
  };
}

interface MomentFieldProps {
  label: string;
  seconds: number | undefined;
  durationSeconds: number;
  onLay: (seconds: number) => void;
}

/** What is no moment of the recording stays in its field, and moves nothing. */
function MomentField({ label, seconds, durationSeconds, onLay }: MomentFieldProps) {
  const decimals = momentDecimals(durationSeconds);
  // What was typed stands until the ruler lies elsewhere; the field stays under the hand.
  const [typedFor, setTypedFor] = useState<{ text: string; seconds: number | undefined }>();
  const text = typedFor && typedFor.seconds === seconds ? typedFor.text : (seconds?.toFixed(decimals) ?? '');
  const typed = numberIn(text);
  const isWrong = text.trim() !== '' && !(typed >= 0 && typed <= durationSeconds);
  const lay = () => {
    if (text.trim() !== '' && !isWrong && typed.toFixed(decimals) !== seconds?.toFixed(decimals))
      onLay(Number(typed.toFixed(decimals)));
  };
  return (
    <TextField
      size="small"
      label={label}
      value={text}
      error={isWrong}
      helperText={isWrong ? t('ui-sweeps.ruler-within', { most: fixed(durationSeconds, 2, 's') }) : undefined}
      onChange={({ target }) => setTypedFor({ text: target.value, seconds })}
      onBlur={lay}
      onKeyDown={({ key }) => key === 'Enter' && lay()}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 16 } }}
      sx={{ width: 132 }}
    />
  );
}
