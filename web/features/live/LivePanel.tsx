import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { FeedInfo, FeedSample } from '@lettura/contract';
import { useEffect, useMemo, useRef, useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { steadiness, type Moment } from './steady.ts';
import { useFeed } from './useFeed.ts';

export interface LivePanelProps {
  feed: FeedInfo;
  /** Those of its channels that belong to the point in hand. */
  channels: readonly number[];
  decimals: number;
  /** What its last digits may tremble by, in its own unit. */
  slack: number;
  /** The reading in the words of the quick entry, so that it goes the same way as a typed one. */
  textOf: (value: number) => string;
  onTake: (text: string) => void;
}

/** Nearer than this many times its slack to what was just held, it is the same value, still standing. */
const SAME_SLACKS = 3;

/** The feed at the point in hand: its value as it arrives, and held by itself once it stands. */
export function LivePanel({ feed, channels, decimals, slack, textOf, onTake }: LivePanelProps) {
  const { status, samples, ageMs, fresh } = useFeed(feed.id);
  const [channel, setChannel] = useState(channels[0] ?? 0);
  const unit = feed.channels[channel]?.unit ?? '';
  const shown = (value: number) => `${value.toFixed(decimals)} ${unit}`;
  const [holds, setHolds] = useState(false);
  const [since, setSince] = useState(0);
  const moments = useMemo(() => momentsOf(samples, channel), [samples, channel]);
  const { steady, mean } = steadiness(moments, slack);
  const newest = moments.at(-1)?.value;
  const seen = moments
    .filter(({ atMs, value }) => atMs >= since && value !== null)
    .map(({ value }) => value as number);
  const take = (value: number) => onTake(textOf(value));

  // A value is held once: the next one has to be another, or the same after it had gone.
  const held = useRef<number>(undefined);
  useEffect(() => {
    if (typeof newest !== 'number' || Math.abs(newest - (held.current ?? Infinity)) > SAME_SLACKS * slack)
      held.current = undefined;
    if (!holds || !fresh || !steady || mean === undefined || held.current !== undefined) return;
    held.current = mean;
    take(mean);
    // Only a value that comes to stand takes a reading, not a new way to take it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [holds, fresh, steady, mean, newest]);

  return (
    <Box
      component="section"
      aria-label="Live meter"
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
        {feed.id === 'live-data'
          ? `${feed.name}: ${feed.channels[channel]?.name ?? ''}`
          : (status.instrument ?? feed.name)}
      </Typography>
      <Box
        role="img"
        aria-label={
          fresh && newest !== undefined && newest !== null ? `Live: ${shown(newest)}` : 'Live: no fresh value'
        }
        sx={{ fontFamily: NUMERALS, textAlign: 'right', opacity: fresh ? 1 : 0.4, whiteSpace: 'nowrap' }}
      >
        <Box component="span" sx={{ fontSize: '2.3rem', fontWeight: 650 }}>
          {newest === undefined || newest === null ? '–' : newest.toFixed(decimals)}
        </Box>{' '}
        {unit}
      </Box>
      <Typography variant="body2" role="status">
        {stateInWords(status.state, fresh, ageMs)}
        {fresh && (steady ? ' · steady' : ' · moving')}
        {status.message ? ` · ${status.message}` : ''}
      </Typography>
      {seen.length > 0 && (
        <Typography variant="body2">
          Lowest {shown(Math.min(...seen))}, highest {shown(Math.max(...seen))}{' '}
          <Button
            size="small"
            onClick={() => setSince(samples.at(-1)?.atMs ?? 0)}
            sx={{ minHeight: 32, py: 0 }}
          >
            Begin anew
          </Button>
        </Typography>
      )}
      {channels.length > 1 && (
        <TextField
          select
          size="small"
          fullWidth
          label="Lead"
          value={channel}
          onChange={(event) => setChannel(Number(event.target.value))}
          sx={{ my: 1 }}
        >
          {channels.map((i) => (
            <MenuItem key={i} value={i}>
              {feed.channels[i]?.name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <FormControlLabel
        control={<Switch checked={holds} onChange={(_event, on) => setHolds(on)} />}
        label="Hold when steady"
      />
      <Button
        fullWidth
        variant="contained"
        disabled={!fresh || newest === null || newest === undefined}
        onClick={() => typeof newest === 'number' && take(steady && mean !== undefined ? mean : newest)}
      >
        Take this reading
      </Button>
    </Box>
  );
}

const momentsOf = (samples: readonly FeedSample[], channel: number): Moment[] =>
  samples.map(({ atMs, values }) => ({ atMs, value: values[channel] ?? null }));

function stateInWords(state: string, fresh: boolean, ageMs: number | undefined): string {
  if (fresh) return 'Live';
  const age = ageMs === undefined ? '' : `, last value ${(ageMs / 1000).toFixed(0)} s old`;
  return state === 'connecting' ? 'Connecting …' : `No answer${age}: it is tried again by itself`;
}
