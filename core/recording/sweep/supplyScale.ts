import { LOWEST_USABLE_REFERENCE_VOLTS } from '../../measure/transfer/index.ts';
import type { SweepContext } from './findings/finding.ts';
import type { Recording } from './recording.ts';

/**
 * What a sample's volts have to be multiplied with to be those at the nominal reference: by the reference that was recorded
 * beside it, where the output follows its supply. 1 where none was recorded, or where it is too low to take a share of.
 */
export function supplyScale(recording: Recording, context: SweepContext): (sample: number) => number {
  const reference = recording.channels[context.uses.indexOf('reference')]?.values;
  const { nominalReferenceVolts } = context.profile;
  if (!reference || !followsSupply(context)) return () => 1;
  return (sample) => {
    const volts = reference[sample]!;
    return volts >= LOWEST_USABLE_REFERENCE_VOLTS ? nominalReferenceVolts / volts : 1;
  };
}

/** A whole channel at the nominal reference; the same array where nothing is to be changed. */
export function atNominal(recording: Recording, context: SweepContext, values: Float64Array): Float64Array {
  if (!context.uses.includes('reference') || !followsSupply(context)) return values;
  const scale = supplyScale(recording, context);
  return values.map((value, i) => value * scale(i));
}

/** A track divides whatever supplies it, however its curve is noted. */
export function followsSupply({ profile: { transfer, measures }, companion }: SweepContext): boolean {
  return (
    transfer.form === 'ratiometric' ||
    ('ratiometric' in transfer && transfer.ratiometric) ||
    measures === 'position' ||
    measures === 'angle' ||
    companion?.kind === 'second-track'
  );
}
