import { say, type Message } from '../../measure/message/index.ts';
import type { Lane } from '../../machine/places/index.ts';

/** What a terminal turns out to be. Tracks of a pair are both signals: which is the first follows from their voltages. */
export const ROLES = ['reference', 'return', 'signal', 'temperature', 'battery-feed', 'motor'] as const;
export type Role = (typeof ROLES)[number];

/** What can be measured at one terminal of a plug that nobody has described. */
export const PLUG_TESTS = ['open-volts', 'connected-volts', 'open-ohms', 'moves', 'fed'] as const;
export type PlugTest = (typeof PLUG_TESTS)[number];

/**
 * One measurement. Volts are against battery negative with the key on, ohms to battery negative with the key off and the
 * plug off (Infinity for OL); `moves` is 1 where the voltage followed when the sensor was stimulated, else 0; `fed` is
 * what live data did when a known voltage was fed in with the plug off: 0 nothing, 1 the sensor's own value followed,
 * 2 a temperature did.
 */
export interface PlugReading {
  terminal: number;
  test: PlugTest;
  value: number;
}

/** What a terminal turns out to be, and what is measured at it. */
export const roleSaid = (role: Role): Message => say(`role.${role}`);
/** What a test at an unknown terminal is called. */
export const testSaid = (test: PlugTest): Message => say(`plug-test.${test}`);

/** Minutes that a measurement takes once the plug and the key are as it needs them (common practice at best). */
export const TEST_MINUTES: Record<PlugTest, number> = {
  'open-volts': 0.5,
  'connected-volts': 1,
  'open-ohms': 0.7,
  moves: 2,
  fed: 2.5,
};

/** What a wire does, as far as a voltage at its terminal can tell. */
export const roleOf = (wire: Lane, hasThermistor: boolean): Role => {
  switch (wire) {
    case 'reference':
    case 'second-reference':
      return 'reference';
    case 'return':
    case 'second-return':
      return 'return';
    case 'signal':
      return 'signal';
    case 'second-signal':
      return hasThermistor ? 'temperature' : 'signal';
    case 'battery-feed':
      return 'battery-feed';
    case 'motor-plus':
    case 'motor-minus':
      return 'motor';
  }
};
