import type { FeedInfo, Sensor } from '@lettura/contract';
import type { Target } from '@lettura/core/evidence';
import { liveDataStep } from '@lettura/core/family';
import { LIVE_ITEMS, liveItemOf } from '@lettura/core/recordingFile';
import { LivePanel } from './LivePanel.tsx';

export interface LiveInstrumentProps {
  target: Target;
  sensor: Pick<Sensor, 'family' | 'profile'>;
  feeds: readonly FeedInfo[];
  onTake: (text: string) => void;
}

const LEADS = [0, 1];
const SLACK_VOLTS = 0.01;

/** The feed that belongs to the point in hand: the meter on a wire, the control unit for live data; nothing for a gauge. */
export function LiveInstrument({ target, sensor, feeds, onTake }: LiveInstrumentProps) {
  const meter = feeds.find(({ id }) => id === 'meter');
  if (target.kind === 'wire')
    return (
      meter && (
        <LivePanel
          key="meter"
          feed={meter}
          channels={LEADS.slice(0, meter.channels.length)}
          decimals={3}
          slack={SLACK_VOLTS}
          textOf={(volts) => `${volts.toFixed(3)} V`}
          onTake={onTake}
        />
      )
    );
  const unit = feeds.find(({ id }) => id === 'live-data');
  const item = liveItemOf(sensor.family);
  if (target.kind !== 'scan' || !unit || item === undefined) return null;
  const channel = [...LIVE_ITEMS.keys()].indexOf(item);
  const step = liveDataStep(sensor.family, sensor.profile.measures);
  return (
    <LivePanel
      key="live-data"
      feed={unit}
      channels={[channel]}
      decimals={step < 1 ? 1 : 0}
      slack={step}
      textOf={(value) => `scan ${value.toFixed(2)} ${unit.channels[channel]?.unit ?? ''}`}
      onTake={onTake}
    />
  );
}
