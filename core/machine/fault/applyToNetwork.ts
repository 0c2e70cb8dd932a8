import { BATTERY_NEGATIVE, BATTERY_POSITIVE, type Drive, type Wiring } from '../wiring/index.ts';
import type { Effect, Touch } from './effect.ts';

/** What an effect does to the parts of a circuit; effects on a quantity, or on what the element makes of it, leave it as it is. */
export function applyToNetwork(wiring: Wiring, effect: Effect, { share }: Drive): void {
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
    case 'curve':
    case 'converter':
      return;
  }
}

function nodeOf(wiring: Wiring, touch: Touch): number {
  if (touch === 'battery-positive') return BATTERY_POSITIVE;
  return touch === 'chassis' ? BATTERY_NEGATIVE : wiring.node(touch.wire, touch.point);
}
