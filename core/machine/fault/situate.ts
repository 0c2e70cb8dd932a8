import type { SensorProfile, SentIn } from '../../measure/transfer/index.ts';
import { UP_SHARE } from '../limits/index.ts';
import { driveFor, secondShareBeside, type Drive, type Wiring, type WiringSpec } from '../wiring/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import type { Effect } from './effect.ts';
import type { Fault } from './faultKind.ts';
import { applyToNetwork } from './applyToNetwork.ts';
import { feltBy } from './valueFelt.ts';
import { valueMet } from './valueMet.ts';

/** The sensor under test, as far as its element goes. */
export interface SensorElement {
  profile: SensorProfile;
  companion?: Companion | undefined;
}

/** What the machine does while a reading is taken. */
export interface Situation {
  keyOn: boolean;
  plugged: boolean;
  /** What the sensor should meet, in the measurand's unit; and what it meets with nothing going on. */
  trueValue: number;
  restingValue: number;
  celsius: number;
}

/** What faults do to the circuit and to the quantity, one after the other. */
export const effectsOf = (faults: readonly Fault[]): Effect[] =>
  faults.flatMap(({ site, size }) => [...site.effects(size)]);

/**
 * Brings a wiring into a situation, with all that is wrong. Whatever was set before is undone first. The plug comes last,
 * since a bad contact is bad only while it is closed.
 */
export function situate(
  wiring: Wiring,
  element: SensorElement,
  effects: readonly Effect[],
  { keyOn, plugged, trueValue, restingValue, celsius }: Situation,
): void {
  wiring.reset();
  wiring.setKey(keyOn);
  const sound = driveFor(felt(trueValue, restingValue, effects, element), celsius, element);
  const drive = withWrong(sound, wiring.spec, element, effects, { restingValue, celsius });
  const { sensor } = wiring.spec;
  const sends = sentOn(wiring.spec, effects);
  wiring.drive(sends ? averaged(drive, sensor, upShare(sends, drive, element)) : drive);
  for (const effect of effects) applyToNetwork(wiring, effect, sound);
  wiring.setPlug(plugged);
}

/**
 * What the element makes of the quantity, with all that is wrong with it; of a sender what it sends, as a share of all that it could.
 */
export function elementDrive(
  spec: WiringSpec,
  element: SensorElement,
  effects: readonly Effect[],
  { trueValue, restingValue, celsius }: Pick<Situation, 'trueValue' | 'restingValue' | 'celsius'>,
): Drive {
  const sound = driveFor(felt(trueValue, restingValue, effects, element), celsius, element);
  return withWrong(sound, spec, element, effects, { restingValue, celsius });
}

/** What of the quantity gets to the sensor, and what its element makes of that. */
const felt = (
  trueValue: number,
  restingValue: number,
  effects: readonly Effect[],
  { profile }: SensorElement,
): number => feltBy(effects, profile)(valueMet(trueValue, restingValue, effects, profile));

function withWrong(
  sound: Drive,
  spec: WiringSpec,
  element: SensorElement,
  effects: readonly Effect[],
  { restingValue, celsius }: Pick<Situation, 'restingValue' | 'celsius'>,
): Drive {
  const resting = driveFor(restingValue, celsius, element);
  return effects.reduce((drive, effect) => driven(drive, resting, effect, { spec, element }), sound);
}

/** What a line goes to and fro with, where nobody has said how long it stays up. */
const sentOn = ({ sensor }: WiringSpec, effects: readonly Effect[]): SentIn | undefined =>
  sensor.kind === 'stage' &&
  !effects.some(
    (effect) => effect.on === 'element' && (effect.does === 'digital' || effect.does === 'other-output'),
  )
    ? sensor.sends
    : undefined;

/** A duty says itself for how long; of the others it is the middle of what they do. */
const upShare = (sends: SentIn, drive: Drive, { profile }: SensorElement): number =>
  profile.transfer.form === 'duty'
    ? Math.min(1, Math.max(0, drive.share))
    : (UP_SHARE[sends].lowest + UP_SHARE[sends].highest) / 2;

/**
 * A meter averages what goes to and fro, and between its rails the network is linear: the average of both voltages is the voltage of
 * the average.
 */
const averaged = (drive: Drive, sensor: WiringSpec['sensor'], highShare: number): Drive =>
  sensor.kind === 'stage'
    ? {
        ...drive,
        share: sensor.lowestShare + highShare * (sensor.highestShare - sensor.lowestShare),
        offsetVolts: 0,
      }
    : drive;

function driven(
  drive: Drive,
  resting: Drive,
  effect: Effect,
  { spec: { sensor, unitVolts }, element }: { spec: WiringSpec; element: SensorElement },
): Drive {
  if (effect.on !== 'element') return drive;
  switch (effect.does) {
    case 'stuck':
      // One shaft carries both wipers: a pair that is stuck keeps its law.
      return drive.followsSupply
        ? {
            ...drive,
            share: effect.share,
            secondShare: secondShareBeside(effect.share, element),
            offsetVolts: 0,
          }
        : { ...drive, offsetVolts: effect.share * unitVolts };
    case 'shifted':
      // A track has no volts of its own: shifted, its wiper stands elsewhere.
      return sensor.kind === 'stage'
        ? { ...drive, offsetVolts: drive.offsetVolts + effect.volts }
        : { ...drive, share: onTrack(drive.share + effect.volts / unitVolts) };
    case 'stretched':
      return {
        ...drive,
        share: resting.share + effect.factor * (drive.share - resting.share),
        offsetVolts: resting.offsetVolts + effect.factor * (drive.offsetVolts - resting.offsetVolts),
      };
    case 'other-curve':
      return {
        ...drive,
        share: drive.share * effect.factor,
        offsetVolts: drive.offsetVolts * effect.factor + effect.volts,
      };
    case 'digital':
      return averaged(drive, sensor, effect.highShare);
    case 'dead-spot':
    case 'other-output':
      return drive;
  }
}

const onTrack = (share: number): number => Math.min(1, Math.max(0, share));
