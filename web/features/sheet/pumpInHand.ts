import type { Instrument } from '@lettura/contract';
import {
  COMMON_VACUUM_GAUGE,
  type GaugeAccuracy,
  type Instrument as Taker,
} from '@lettura/core/measure/uncertainty';

/** What shows the pump's pressure: the gauge chosen, else the hand pump of the workshop. */
export function pumpInHand(
  { instruments }: { instruments: readonly Instrument[] },
  chosen: { gauge?: string | undefined },
): Instrument | undefined {
  const inUse = instruments.filter(({ retired, accuracy }) => !retired && accuracy.kind === 'gauge');
  return inUse.find(({ id }) => id === chosen.gauge) ?? inUse.findLast(({ sort }) => sort === 'hand-pump');
}

/** Its accuracy; a common gauge's where there is none. */
export const pumpAccuracy = (pump: Instrument | undefined): Taker<GaugeAccuracy> =>
  pump?.accuracy.kind === 'gauge' ? { name: pump.name, accuracy: pump.accuracy } : COMMON_VACUUM_GAUGE;
