import { fixed, say, type Message } from '../../measure/message/index.ts';
import type { EngineState } from '../places/index.ts';
import { SEA_LEVEL_KPA, toKpa } from '../../measure/quantity/index.ts';

/**
 * Manifold pressure of a healthy petrol engine at idle. Common practice: 18 to 23 inHg of vacuum at sea level. Kept
 * in absolute pressure, because an idling engine needs about the same air at any altitude: it is the vacuum that
 * falls with the barometer.
 */
export const HEALTHY_IDLE_KPA_ABS = {
  lowest: SEA_LEVEL_KPA - toKpa(23, 'inHg'),
  highest: SEA_LEVEL_KPA - toKpa(18, 'inHg'),
} as const;

export interface PressureBand {
  lowestKpaAbs: number;
  highestKpaAbs: number;
  reason: Message;
}

/** What the manifold should hold in a state, before anything is probed. */
export function expectedManifoldPressure(
  engine: Exclude<EngineState, 'under-load'>,
  ambientKpaAbs: number,
): PressureBand {
  const ambient = fixed(ambientKpaAbs, 1, 'kPa');
  switch (engine) {
    case 'key-off':
    case 'koeo':
      return {
        lowestKpaAbs: ambientKpaAbs,
        highestKpaAbs: ambientKpaAbs,
        reason: say('families.engine-stopped-manifold-holds-ambient', { ambient }),
      };
    case 'cranking':
      return {
        lowestKpaAbs: ambientKpaAbs - 20,
        highestKpaAbs: ambientKpaAbs,
        reason: say('families.starter-draws-little-vacuum', { ambient }),
      };
    case 'idle':
      return {
        lowestKpaAbs: HEALTHY_IDLE_KPA_ABS.lowest,
        highestKpaAbs: HEALTHY_IDLE_KPA_ABS.highest,
        reason: say('families.healthy-petrol-engine-idles-18-23'),
      };
    case 'held-revs':
      return {
        lowestKpaAbs: 20,
        highestKpaAbs: 45,
        reason: say('families.revs-held-without-load-keep'),
      };
    case 'snap-open':
      return {
        lowestKpaAbs: ambientKpaAbs - 12,
        highestKpaAbs: ambientKpaAbs,
        reason: say('families.open-throttle-lets-manifold-up', { ambient }),
      };
  }
}
