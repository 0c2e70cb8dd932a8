import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { sweepBand, type ChannelUse, type SweepContext, type SweepMark } from '@lettura/core/recording/sweep';
import { useState } from 'react';
import { sourceInWords, type LiveSource, type LiveView } from '../live/index.ts';
import { LiveAgainst } from './LiveAgainst.tsx';
import { LiveChannel } from './LiveChannel.tsx';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { t } from '../../ui/words.ts';

export interface LiveStripsProps {
  source: LiveSource;
  view: LiveView;
  context: SweepContext;
  /** What the channels are is settled: the source knows, or a recording runs. */
  fixedUses: boolean;
  onUse: (channel: number, use: ChannelUse) => void;
  /** Of the signal, at the step in hand. */
  expected: { lowest: number; highest: number } | undefined;
  marks: readonly SweepMark[];
  startedMs: number | undefined;
}

const WINDOWS_SECONDS = [10, 30, 120];
const MOST_STRIPS = 4;

/** What a source gives, over the last seconds: channel by channel, and two of them against each other. */
export function LiveStrips(props: LiveStripsProps) {
  const { source, view, context, fixedUses, onUse, expected, marks, startedMs } = props;
  const [windowSeconds, setWindowSeconds] = useState(30);
  const [against, setAgainst] = useState(false);
  const { uses, profile } = context;
  const { absolute: pressureUnit } = useSelector(selectUnits);
  const band = sweepBand(context);
  // Those that mean something to this sensor come first; a unit may tell of a dozen.
  const strips = [...source.channels.keys()]
    .filter((channel) => view.buffer.newest(channel) !== undefined)
    .toSorted((a, b) => Number(uses[a] === 'other') - Number(uses[b] === 'other'))
    .slice(0, MOST_STRIPS);
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 0.5 }}>
        <Typography role="status" sx={{ flex: 1, minWidth: 200 }}>
          {sourceInWords(view)}
          {view.missed > 0 ? t('ui-record.samples-lost-way', { missed: view.missed }) : ''}
        </Typography>
        {band && (
          <ToggleButton value="against" size="small" selected={against} onChange={() => setAgainst(!against)}>
            {t('ui-record.against-each-other')}
          </ToggleButton>
        )}
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('ui-record.seconds-view')}
          value={windowSeconds}
          onChange={(_event, chosen: number | null) => chosen && setWindowSeconds(chosen)}
        >
          {WINDOWS_SECONDS.map((seconds) => (
            <ToggleButton key={seconds} value={seconds}>
              {seconds} s
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: against && band ? { xs: '1fr', md: 'minmax(0, 3fr) minmax(0, 2fr)' } : '1fr',
          // Old values stay readable, and cannot be taken for fresh.
          opacity: view.fresh ? 1 : 0.62,
        }}
      >
        <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0 }}>
          {strips.map((channel, i) => (
            <LiveChannel
              key={channel}
              channel={channel}
              view={view}
              of={source.channels[channel] ?? { name: '', unit: '' }}
              use={uses[channel] ?? 'other'}
              fixedUse={fixedUses}
              referenceMeasured={uses.includes('reference')}
              onUse={(use) => onUse(channel, use)}
              profile={profile}
              pressureUnit={pressureUnit}
              windowSeconds={windowSeconds}
              expected={uses[channel] === 'signal' ? expected : undefined}
              marks={marks}
              startedMs={startedMs}
              last={i === strips.length - 1}
            />
          ))}
        </Box>
        {against && band && (
          <Box sx={{ minHeight: 260, borderLeft: { md: 1 }, borderColor: { md: 'divider' }, pl: { md: 1 } }}>
            <LiveAgainst
              label={t('ui-record.against-live-band-where-belongs', {
                name: source.channels[band.up]?.name ?? '',
                name2: source.channels[band.along]?.name ?? '',
              })}
              buffer={view.buffer}
              band={band}
              channels={source.channels}
              windowSeconds={windowSeconds}
            />
          </Box>
        )}
      </Box>
    </>
  );
}
