import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { FeedInfo, Sensor } from '@lettura/contract';
import type { Target } from '@lettura/core/machine/places';
import { liveDataStep } from '@lettura/core/machine/family';
import { familyOf } from '@lettura/core/machine/family';
import { LIVE_ITEM_IDS } from '@lettura/core/machine/live';
import type { Expectation } from '@lettura/core/judge/expectation';
import { useMemo, useState } from 'react';
import { LivePanel } from './LivePanel.tsx';
import { serverSource } from './serverSource.ts';
import { t } from '../../ui/words.ts';

export interface LiveInstrumentProps {
  target: Target;
  sensor: Pick<Sensor, 'family' | 'profile'>;
  feeds: readonly FeedInfo[];
  expectation: Expectation | undefined;
  onTake: (text: string) => void;
}

const SLACK_VOLTS = 0.01;

/** The feed that belongs to the point in hand: the meter on a wire, the control unit for live data; nothing for a gauge. */
export function LiveInstrument(props: LiveInstrumentProps) {
  const [triesOut, setTriesOut] = useState(false);
  const { feeds } = props;
  const real = feeds.filter(({ simulated }) => !simulated);
  if (triesOut || real.length === feeds.length) return <Instruments {...props} />;
  return (
    <Box sx={{ display: 'grid', gap: 1, width: 244, alignContent: 'start' }}>
      <Instruments {...props} feeds={real} />
      {/* Never one tap from a real job's record: whoever wants to try it says so first. */}
      <Button color="inherit" variant="outlined" onClick={() => setTriesOut(true)}>
        {t('ui-live.try-simulated-instruments')}
      </Button>
    </Box>
  );
}

function Instruments({ target, sensor, feeds, expectation, onTake }: LiveInstrumentProps) {
  const meters = feeds.filter(({ kind }) => kind === 'meter');
  const [meterId, setMeterId] = useState<string>();
  const { meter, unit } = useMemo(() => {
    const of = (wanted: FeedInfo['kind']) => feeds.filter(({ kind }) => kind === wanted);
    const sourceOf = (feed: FeedInfo | undefined) => feed && serverSource(feed);
    return {
      meter: sourceOf(of('meter').find(({ id }) => id === meterId) ?? of('meter')[0]),
      unit: sourceOf(of('live-data')[0]),
    };
  }, [feeds, meterId]);
  if (target.kind === 'wire')
    return (
      meter && (
        <>
          {meters.length > 1 && (
            <TextField
              select
              size="small"
              label={t('ui-live.which-meter')}
              value={meter.id}
              onChange={(event) => setMeterId(event.target.value)}
              sx={{ width: 244 }}
            >
              {meters.map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
          )}
          <LivePanel
            key={meter.id}
            source={meter}
            title={undefined}
            expected={expectation}
            channels={[...meter.channels.keys()]}
            decimals={3}
            slack={SLACK_VOLTS}
            textOf={(volts) => `${volts.toFixed(3)} V`}
            onTake={onTake}
          />
        </>
      )
    );
  const item = familyOf(sensor.family).liveItem;
  if (target.kind !== 'scan' || !unit || item === undefined) return null;
  const channel = LIVE_ITEM_IDS.indexOf(item);
  const step = liveDataStep(sensor.family, sensor.profile.measures);
  return (
    <LivePanel
      key="live-data"
      source={unit}
      title={`${unit.name}: ${unit.channels[channel]?.name ?? ''}`}
      expected={expectation}
      channels={[channel]}
      decimals={step < 1 ? 1 : 0}
      slack={step}
      textOf={(value) => `scan ${value.toFixed(2)} ${unit.channels[channel]?.unit ?? ''}`}
      onTake={onTake}
    />
  );
}
