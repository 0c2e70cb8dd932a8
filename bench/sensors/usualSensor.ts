import type { Lane } from '@lettura/core/machine/places';
import type { Companion } from '@lettura/core/measure/companion';
import type { FamilyId } from '@lettura/core/machine/family';
import type { SensorProfile, TransferFunction } from '@lettura/core/measure/transfer';

/** A sensor of the demo workshop, as the library has it. */
export interface BenchSensor {
  name: string;
  family: FamilyId;
  source: string;
  notes?: string;
  profile: SensorProfile;
  companion?: Companion;
  pins?: readonly { terminal: string; wire: PinUse; colour: string }[];
}
export type PinUse = Lane | 'temperature-signal' | 'other';

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
