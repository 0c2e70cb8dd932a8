import { newSensor, type NewSensor } from '@lettura/contract';
import type { SensorProfile, TransferFunction } from '@lettura/core/transfer';
import type { z } from 'zod';

/** A sensor that ships, under its fixed id; checked as any other would be. */
export const shipped = (n: number, sensor: Omit<z.input<typeof newSensor>, 'id' | 'replaces'>): NewSensor =>
  newSensor.parse({ id: `01935a00-0000-7000-8000-${String(n).padStart(12, '0')}`, ...sensor });

export const INVENTED = 'Invented for the demo';

/** The usual three-wire electrics: 5 V, 0.5 to 4.5 V, a pulled-up input. */
export const profileOf = (
  profile: Pick<
    SensorProfile,
    'measures' | 'transfer' | 'lowest' | 'highest' | 'tolerance' | 'differenceThatMatters'
  > &
    Partial<SensorProfile>,
): SensorProfile => ({
  nominalReferenceVolts: 5,
  circuitLowVolts: 0.25,
  circuitHighVolts: 4.75,
  bias: 'pull-up',
  ...profile,
});

/** Output volts at the two ends, as a share of a 5 V reference. */
export function ratiometric(
  low: readonly [volts: number, value: number],
  high: readonly [volts: number, value: number],
): TransferFunction {
  const sharePerUnit = (high[0] - low[0]) / 5 / (high[1] - low[1]);
  return { form: 'ratiometric', sharePerUnit, shareAtZero: low[0] / 5 - sharePerUnit * low[1] };
}

export const linear = (
  low: readonly [volts: number, value: number],
  high: readonly [volts: number, value: number],
): TransferFunction => ({
  form: 'linear',
  low: { volts: low[0], value: low[1] },
  high: { volts: high[0], value: high[1] },
});
