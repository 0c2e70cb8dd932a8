import type { Effect } from '../../../machine/fault/index.ts';
import type { WiringSpec } from '../../../machine/wiring/index.ts';
import type { Hypothesis } from './hypothesis.ts';

/*
 * A stage that lost its supply at its own plug does what its maker let it do: it may lie at any one level and stay there, just as
 * one that is broken. Only a look at the contacts tells these apart.
 */

/** So often such an output stays at one level, rather than doing what the usual circuit would. */
const STAYS_SHARE = 0.4;
const SUPPLIES: readonly string[] = ['reference', 'battery-feed'];

/** Whether a contact of the plug is open that the output hangs on: where it may stay instead is weighed by itself. */
export const losesSupplyAtPlug = (effects: readonly Effect[]): boolean =>
  effects.some(
    (effect) =>
      effect.on === 'part' &&
      'addOhms' in effect &&
      effect.addOhms === Infinity &&
      SUPPLIES.some((wire) => effect.part === `${wire}:plug`),
  );

/** Beside each supply that is open in the sensor plug: the same, with an output that stays anywhere. */
export function starvedBeside(
  listed: readonly Hypothesis[],
  body: WiringSpec['sensor']['kind'],
): Hypothesis[] {
  if (body !== 'stage') return [];
  const like = listed.findIndex(({ kind, site }) => kind?.id === 'sensor-stuck' && site?.at.in === 'element');
  if (like < 0) return [];
  return listed.flatMap((one): Hypothesis[] => {
    const { kind, site, prior, id } = one;
    const isOpenSupply =
      kind?.id === 'wire-open' &&
      site?.at.in === 'joint' &&
      site.at.joint === 'plug' &&
      SUPPLIES.includes(site.at.wire);
    return isOpenSupply ? [{ ...one, id: `starved:${id}`, prior: STAYS_SHARE * prior, sizes: [], like }] : [];
  });
}
