import { signalFromValue, valueAtNominal, type SensorProfile } from '../../measure/transfer/index.ts';
import type { CurveEffect, Effect } from './effect.ts';

/**
 * What the element makes of what it meets, before it gives a voltage: somewhere on its way it no longer follows.
 *
 * @returns from what it meets to what it reports, both in the measurand's unit
 */
export function feltBy(effects: readonly Effect[], profile: SensorProfile): (met: number) => number {
  const curves = effects.filter((effect) => effect.on === 'curve');
  if (curves.length === 0) return (met) => met;
  const soundVolts = (value: number) =>
    signalFromValue(value, profile.nominalReferenceVolts, profile).signalVolts;
  const [first, last] = [soundVolts(profile.lowest), soundVolts(profile.highest)];
  const stays = curves.map((curve) => ({
    curve,
    at: valueAtNominal(first + curve.atShare * (last - first), profile),
  }));
  return (met) => {
    const share = (soundVolts(met) - first) / (last - first);
    return stays.find(({ curve }) => isWithin(share, curve))?.at ?? met;
  };
}

/** What changes the quantity before the sensor gives a voltage: nothing of the circuit moves with it. */
export const isOnTheWay = ({ on }: Effect): boolean => on === 'quantity' || on === 'curve';

const isWithin = (share: number, { fromShare, toShare }: CurveEffect): boolean =>
  share > fromShare && share < toShare;
