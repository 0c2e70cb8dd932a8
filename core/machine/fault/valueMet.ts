import type { SensorProfile } from '../../measure/transfer/index.ts';
import type { Effect, QuantityEffect } from './effect.ts';

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
