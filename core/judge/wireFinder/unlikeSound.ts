import type { Bias } from '../../measure/transfer/index.ts';
import { agrees, reachOf } from './agreement.ts';
import type { TerminalCount } from './bodies.ts';
import type { PlugReading, PlugTest, Role } from './plugTest.ts';
import { scenariosFor } from './scenarios.ts';

/** A measurement that no sound wire of its name would show, in the unit of its test. */
export interface Unlike {
  test: PlugTest;
  value: number;
  /** What sound ones show, slack of meters and units included. */
  lowest: number;
  highest: number;
}

/**
 * What speaks against a named wire being sound: the first reading of its terminal that no sound body with so many
 * terminals, pulled as the sensor's input is known to be, would show there. Undefined where all agree.
 */
export function unlikeSound(
  terminals: TerminalCount,
  role: Role,
  own: readonly PlugReading[],
  bias: Bias,
): Unlike | undefined {
  const sound = scenariosFor(terminals)
    .filter(({ soundWithBias }) => soundWithBias && (bias === 'unknown' || soundWithBias === bias))
    .flatMap(({ roles, shows }) => shows.filter((_, wire) => roles[wire] === role));
  for (const { test, value } of own) {
    const shown = sound.map((shows) => shows[test]).filter(({ lowest, highest }) => lowest <= highest);
    if (shown.length === 0 || shown.some((shows) => agrees(value, shows, test))) continue;
    const reaches = shown.map((shows) => reachOf(shows, test));
    return {
      test,
      value,
      lowest: Math.min(...reaches.map(({ lowest }) => lowest)),
      highest: Math.max(...reaches.map(({ highest }) => highest)),
    };
  }
  return undefined;
}
