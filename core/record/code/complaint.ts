import { pairLimitPercent, type Companion } from '../../measure/companion/index.ts';
import { pairDeviation } from '../../measure/positionPair/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';

/** What a control unit watches of one sensor: its signals, the supply it gives, and whether two tracks go together. */
export type Watched = 'signal' | 'second-signal' | 'supply' | 'pair';

/** What a code says of it: too low, too high, or out of its limits either way. */
export interface Complaint {
  about: Watched;
  reads: 'low' | 'high' | 'off';
}

/** Common practice: outside these shares of its nominal voltage the unit calls its own sensor supply faulty. */
const SUPPLY_SHARES = [0.9, 1.1] as const;
/** A temperature nearly at its supply is an open thermistor, one near ground a short; shares of the nominal supply. */
const TEMPERATURE_SHARES = [0.02, 0.97] as const;

type Watching = Pick<SensorProfile, 'nominalReferenceVolts' | 'circuitLowVolts' | 'circuitHighVolts'>;

/** Within these nothing is complained of: volts, but of a pair its deviation in percent of the reference. */
export function limitsOf(
  about: Watched,
  { nominalReferenceVolts, circuitLowVolts, circuitHighVolts }: Watching,
  companion: Companion | undefined,
): readonly [low: number, high: number] {
  const shares = (of: readonly [number, number]) =>
    [of[0] * nominalReferenceVolts, of[1] * nominalReferenceVolts] as const;
  switch (about) {
    case 'signal':
      return [circuitLowVolts, circuitHighVolts];
    case 'second-signal':
      // A second track has the limits of the first.
      return companion?.kind === 'temperature'
        ? shares(TEMPERATURE_SHARES)
        : [circuitLowVolts, circuitHighVolts];
    case 'supply':
      return shares(SUPPLY_SHARES);
    case 'pair':
      return companion?.kind === 'second-track'
        ? [-pairLimitPercent(companion), pairLimitPercent(companion)]
        : [-Infinity, Infinity];
  }
}

/** Whether the unit complains, by what it sees. */
export function isComplainedOf(
  { reads }: Pick<Complaint, 'reads'>,
  seen: number,
  [low, high]: readonly [number, number],
): boolean {
  return (seen < low && reads !== 'high') || (seen > high && reads !== 'low');
}

/** What the unit makes of two tracks: their deviation, in percent of the reference. */
export const pairSeen = (
  firstVolts: number,
  secondVolts: number,
  nominalVolts: number,
  companion: Companion | undefined,
): number =>
  companion?.kind === 'second-track'
    ? pairDeviation(firstVolts, secondVolts, nominalVolts, companion.pair).deviationPercentOfReference
    : 0;
