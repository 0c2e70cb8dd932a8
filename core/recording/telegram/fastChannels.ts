import { VALUE_STEPS, type SensorProfile } from '../../measure/transfer/index.ts';
import type { Telegrams } from './telegrams.ts';

/** Twelve bits: the first three nibbles, highest first; and the last three of six, lowest first (SAE J2716, from memory). */
export type FastChannel = 1 | 2;

/** Where a pressure sensor has the ends of its range, unless its maker says otherwise (SAE J2716, from memory). */
export const RANGE_STEPS = [193, 3896] as const;

/** How many values of twelve bits a frame has. */
export const fastChannelsOf = ({ layout: { nibbles } }: Telegrams): readonly FastChannel[] =>
  nibbles === 6 ? [1, 2] : nibbles >= 3 ? [1] : [];

/** One value a frame, 0 to 4095. */
export function fastValues(
  { data, layout: { nibbles }, status }: Telegrams,
  channel: FastChannel,
): Uint16Array {
  const [first, second, third] = channel === 1 ? [0, 1, 2] : [5, 4, 3];
  return Uint16Array.from(status, (_, frame) => {
    const at = frame * nibbles;
    return (data[at + first]! << 8) | (data[at + second]! << 4) | data[at + third]!;
  });
}

/**
 * What a step stands for in the measurand's own unit: by the profile's own steps, and by those of the standard where it has none.
 *
 * @returns NaN where it is none of the values
 */
export function valueOfStep(
  step: number,
  { lowest, highest, transfer }: Pick<SensorProfile, 'lowest' | 'highest' | 'transfer'>,
): number {
  if (step < VALUE_STEPS[0] || step > VALUE_STEPS[1]) return NaN;
  const { low, high } =
    transfer.form === 'telegrams'
      ? transfer
      : { low: { step: RANGE_STEPS[0], value: lowest }, high: { step: RANGE_STEPS[1], value: highest } };
  return low.value + ((step - low.step) / (high.step - low.step)) * (high.value - low.value);
}
