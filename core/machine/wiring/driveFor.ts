import type { Companion } from '../../measure/companion/index.ts';
import { thermistorOhms } from '../../measure/thermistor/index.ts';
import { signalFromValue, type SensorProfile } from '../../measure/transfer/index.ts';
import type { Drive } from './parts.ts';

/** Wherever a table or a formula would put the wiper, it stays on its track. */
const onTrack = (share: number): number => Math.min(1, Math.max(0, share));

/** A weighing asks for the same few values some thousand times over, and a curve is slow to turn round. */
const REMEMBERED = 16;
const remembered = new WeakMap<object, { value: number; celsius: number; drive: Drive }[]>();

/**
 * What a sound element does with a quantity: its curve at the nominal reference, as a share of the supply where the
 * output follows it, as volts where it does not.
 *
 * @param value   in the measurand's unit
 * @param celsius of the thermistor in the same body, where there is one
 */
export function driveFor(value: number, celsius: number, element: Element): Drive {
  const known = remembered.get(element) ?? [];
  for (const one of known) if (one.value === value && one.celsius === celsius) return one.drive;
  const drive = workedOut(value, celsius, element);
  if (known.length === REMEMBERED) known.shift();
  known.push({ value, celsius, drive });
  remembered.set(element, known);
  return drive;
}

interface Element {
  profile: SensorProfile;
  companion?: Companion | undefined;
}

function workedOut(value: number, celsius: number, element: Element): Drive {
  const { profile, companion } = element;
  const { nominalReferenceVolts: nominal } = profile;
  const { signalVolts } = signalFromValue(value, nominal, profile);
  const share = signalVolts / nominal;
  const follows = isTrack(element) || followsSupply(profile);
  return {
    ...(follows ? { share, offsetVolts: 0 } : { share: 0, offsetVolts: signalVolts }),
    followsSupply: follows,
    secondShare: secondShareBeside(share, element),
    thermistorOhms: companion?.kind === 'temperature' ? thermistorOhms(celsius, companion.thermistor) : 2000,
  };
}

/** Where the second wiper stands while the first stands at a share of its track: both sit on one shaft. */
export function secondShareBeside(share: number, { profile, companion }: Element): number {
  if (companion?.kind !== 'second-track') return 0.5;
  const { pair } = companion;
  const { nominalReferenceVolts: nominal } = profile;
  return onTrack(
    pair.law === 'mirrored' ? 1 - share : (share * nominal - pair.offsetVolts) / pair.ratio / nominal,
  );
}

/** A track divides whatever supplies it, however its curve is noted. */
export const isTrack = ({ profile: { measures }, companion }: Element): boolean =>
  companion?.kind === 'second-track' || measures === 'position' || measures === 'angle';

function followsSupply({ transfer }: SensorProfile): boolean {
  switch (transfer.form) {
    case 'ratiometric':
    case 'telegrams':
    case 'frequency':
    case 'duty':
      return true;
    case 'table':
    case 'polynomial':
      return transfer.ratiometric;
    case 'linear':
    case 'hot-element':
      return false;
  }
}
