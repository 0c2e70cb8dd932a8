import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { selectSigns, signsSwitched } from '../../app/preferences.ts';
import { NUMERALS } from '../../app/theme.ts';
import { fitOf } from '@lettura/core/judge/expectation';
import { fitInWords } from '../../ui/fit.ts';
import { steadiness, STEADY_MS, type Moment } from './steady.ts';
import type { LiveBuffer } from './liveBuffer.ts';
import type { LiveSource } from './liveSource.ts';
import { giveSign } from './giveSign.ts';
import { doingOf, signOf, type Doing } from './sign.ts';
import { sourceInWords } from './sourceInWords.ts';
import { useSource } from './useSource.ts';
import { t } from '../../ui/words.ts';

export interface LivePanelProps {
  source: LiveSource;
  /** What a value is called here. */
  title: string | undefined;
  /** Those of its channels that belong to the point in hand. */
  channels: readonly number[];
  decimals: number;
  /** What it should be here now, in the unit of the channel. */
  expected: { lowest: number; highest: number } | undefined;
  /** What its last digits may tremble by, in its own unit. */
  slack: number;
  /** The reading in the words of the quick entry, so that it goes the same way as a typed one. */
  textOf: (value: number) => string;
  onTake: (text: string) => void;
}

/** Nearer than this many times its slack to what was just held, it is the same value, still standing. */
const SAME_SLACKS = 3;

/** The feed at the point in hand: its value as it arrives, and held by itself once it stands. */
export function LivePanel({
  source,
  title,
  channels,
  decimals,
  expected,
  slack,
  textOf,
  onTake,
}: LivePanelProps) {
  const view = useSource(source);
  const { status, buffer, fresh } = view;
  const [channel, setChannel] = useState(channels[0] ?? 0);
  const unit = source.channels[channel]?.unit ?? '';
  const shown = (value: number) => `${value.toFixed(decimals)} ${unit}`;
  const [holds, setHolds] = useState(false);
  const [since, setSince] = useState(0);
  const { steady, mean } = steadiness(momentsOf(buffer, channel), slack);
  const newest = buffer.newest(channel);
  const seen = extremesOf(buffer, channel, since);
  const take = (value: number) => onTake(textOf(value));

  // A value is held once: the next one has to be another, or the same after it had gone.
  const held = useRef<number>(undefined);
  useEffect(() => {
    if (!isValue(newest) || Math.abs(newest - (held.current ?? Infinity)) > SAME_SLACKS * slack)
      held.current = undefined;
    if (!holds || !fresh || !steady || mean === undefined || held.current !== undefined) return;
    held.current = mean;
    take(mean);
    // Only a value that comes to stand takes a reading, not a new way to take it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [holds, fresh, steady, mean, newest]);

  const signs = useSelector(selectSigns);
  const dispatch = useDispatch();
  const doing = doingOf({ fresh, steady, value: isValue(newest) ? newest : undefined, expected });
  const did = useRef<Doing>(undefined);
  useEffect(() => {
    const sign = signOf(did.current, doing);
    did.current = doing;
    if (signs && sign) giveSign(sign);
  }, [signs, doing]);

  return (
    <Box
      component="section"
      aria-label={t('ui-live.live-meter')}
      sx={{
        width: 244,
        border: 1,
        borderColor: 'sheet.rule',
        borderRadius: 1,
        p: 1.25,
        bgcolor: 'sheet.inset',
      }}
    >
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        {title ?? status.instrument ?? source.name}
        {source.simulated && t('ui-live.simulated')}
      </Typography>
      <Box
        role="img"
        aria-label={
          fresh && isValue(newest)
            ? t('ui-live.live', { shown: shown(newest) })
            : t('ui-live.live-no-fresh-value')
        }
        sx={{ fontFamily: NUMERALS, textAlign: 'right', opacity: fresh ? 1 : 0.4, whiteSpace: 'nowrap' }}
      >
        <Box component="span" sx={{ fontSize: '2.3rem', fontWeight: 650 }}>
          {isValue(newest) ? newest.toFixed(decimals) : '–'}
        </Box>{' '}
        {unit}
        {source.simulated && (
          <Box
            component="span"
            sx={{ display: 'block', fontSize: '0.9rem', fontWeight: 700, whiteSpace: 'normal' }}
          >
            {t('ui-live.simulated-not-machine')}
          </Box>
        )}
      </Box>
      {/* All that is pressed stands above what comes and goes with the value: nothing moves away under a tap. */}
      <Button
        fullWidth
        variant="contained"
        sx={{ my: 0.75, minHeight: 48 }}
        disabled={!fresh || !isValue(newest)}
        onClick={() => isValue(newest) && take(steady && mean !== undefined ? mean : newest)}
      >
        {t('ui-live.take-reading')}
      </Button>
      {channels.length > 1 && (
        <TextField
          select
          size="small"
          fullWidth
          label={t('ui-live.lead')}
          value={channel}
          onChange={(event) => setChannel(Number(event.target.value))}
          sx={{ my: 1 }}
        >
          {channels.map((i) => (
            <MenuItem key={i} value={i}>
              {source.channels[i]?.name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <FormControlLabel
        control={<Switch checked={holds} onChange={(_event, on) => setHolds(on)} />}
        label={t('ui-live.hold-when-steady')}
      />
      <FormControlLabel
        control={<Switch checked={signs} onChange={(_event, on) => dispatch(signsSwitched(on))} />}
        label={t('ui-live.signs')}
      />
      <Typography variant="body2" role="status">
        {sourceInWords(view)}
        {fresh && (steady ? t('ui-live.steady') : t('ui-live.moving'))}
      </Typography>
      {expected && (
        <Typography variant="body2">
          {t('ui-live.expected-to', {
            lowest: expected.lowest.toFixed(decimals),
            shown: shown(expected.highest),
          })}
          {fresh && isValue(newest) && <strong>: {fitInWords(fitOf(newest, expected))}</strong>}
        </Typography>
      )}
      {seen && (
        <Typography variant="body2">
          {t('ui-live.lowest-highest', { shown: shown(seen.lowest), shown2: shown(seen.highest) })}{' '}
          <Button size="small" onClick={() => setSince(buffer.newestMs ?? 0)} sx={{ minHeight: 32, py: 0 }}>
            {t('ui-live.begin-anew')}
          </Button>
        </Typography>
      )}
    </Box>
  );
}

const isValue = (value: number | undefined): value is number => value !== undefined && !Number.isNaN(value);

/** A little more than it takes to be steady. */
const LOOKED_AT_MS = STEADY_MS + 1000;
function momentsOf(buffer: LiveBuffer, channel: number): Moment[] {
  const moments: Moment[] = [];
  buffer.each(channel, (buffer.newestMs ?? 0) - LOOKED_AT_MS, (atMs, value) =>
    moments.push({ atMs, value: isValue(value) ? value : null }),
  );
  return moments;
}

function extremesOf(
  buffer: LiveBuffer,
  channel: number,
  sinceMs: number,
): { lowest: number; highest: number } | undefined {
  let [lowest, highest] = [Infinity, -Infinity];
  buffer.each(channel, sinceMs, (_atMs, value) => {
    if (value < lowest) lowest = value;
    if (value > highest) highest = value;
  });
  return lowest <= highest ? { lowest, highest } : undefined;
}
