import type { SensorProfile } from '../../measure/transfer/index.ts';
import {
  BATTERY_NEGATIVE,
  BATTERY_POSITIVE,
  driveFor,
  secondShareBeside,
  type Drive,
  type Wiring,
  type WiringSpec,
} from '../wiring/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import type { Effect, QuantityEffect, Touch } from './effect.ts';
import type { Fault } from './faultKind.ts';

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
  const met = valueMet(trueValue, restingValue, effects, element.profile);
  const sound = driveFor(met, celsius, element);
  const resting = driveFor(restingValue, celsius, element);
  wiring.drive(
    effects.reduce((drive, effect) => driven(drive, resting, effect, { spec: wiring.spec, element }), sound),
  );
  for (const effect of effects) applyToNetwork(wiring, effect, sound);
  wiring.setPlug(plugged);
}

/** The quantity at the sensor's own port or shaft. */
type Range = Pick<SensorProfile, 'lowest' | 'highest'>;
/** What the sensor meets, in the measurand's unit, of a quantity that faults weaken, reverse or detach. */
export function valueMet(
  trueValue: number,
  restingValue: number,
  effects: readonly Effect[],
  range: Range,
): number {
  return effects.reduce(
    (value, effect) => (effect.on === 'quantity' ? weaken(value, restingValue, effect, range) : value),
    trueValue,
  );
}

function weaken(value: number, resting: number, effect: QuantityEffect, { lowest, highest }: Range): number {
  switch (effect.does) {
    case 'weakened':
      return resting + effect.reaches * (value - resting);
    case 'lies':
      return lowest + effect.share * (highest - lowest);
    case 'reversed':
      return resting - (value - resting);
  }
}

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
      // A meter averages what goes to and fro, and between its rails the network is linear: the average of both
      // voltages is the voltage of the average.
      return sensor.kind === 'stage'
        ? {
            ...drive,
            share: sensor.lowestShare + effect.highShare * (sensor.highestShare - sensor.lowestShare),
            offsetVolts: 0,
          }
        : drive;
    case 'dead-spot':
      return drive;
  }
}

const onTrack = (share: number): number => Math.min(1, Math.max(0, share));

function applyToNetwork(wiring: Wiring, effect: Effect, { share }: Drive): void {
  switch (effect.on) {
    case 'part':
      if ('addOhms' in effect) wiring.addOhms(effect.part, effect.addOhms);
      else wiring.setOhms(effect.part, effect.setOhms);
      return;
    case 'touch':
      wiring.bridge(nodeOf(wiring, effect.a), nodeOf(wiring, effect.b), effect.ohms);
      return;
    case 'rail':
      wiring.setRail(effect.rail, effect.change);
      return;
    case 'element': {
      if (effect.does !== 'dead-spot') return;
      // Both wipers sit on one shaft: a place of the travel is where the first of them stands.
      if (share >= effect.fromShare && share <= effect.toShare)
        wiring.setOhms(`wiper:${effect.track}`, Infinity);
      return;
    }
    case 'quantity':
    case 'converter':
      return;
  }
}

function nodeOf(wiring: Wiring, touch: Touch): number {
  if (touch === 'battery-positive') return BATTERY_POSITIVE;
  return touch === 'chassis' ? BATTERY_NEGATIVE : wiring.node(touch.wire, touch.point);
}
