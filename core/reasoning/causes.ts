import type { Lane } from '../evidence/index.ts';

/** What a verdict can name. */
export const VERDICT_CLASSES = ['sensor', 'wire', 'control-unit', 'physical', 'nothing-found'] as const;
export type VerdictClass = (typeof VERDICT_CLASSES)[number];

export interface Cause {
  class: VerdictClass;
  title: string;
  /** What to do once it is proven. */
  remedy: string;
  /** The wire that the cause is about, where it is about one. */
  lane?: Lane;
  /** Weight before any reading: our own starting values, common practice at best; they are shared out over the causes that a family has. */
  prior: number;
}

export const CAUSES = {
  'reference-open': {
    class: 'wire',
    lane: 'reference',
    title: 'Reference wire open',
    remedy: 'Repair the reference wire between the last good and the first bad point.',
    prior: 0.08,
  },
  'reference-supply': {
    class: 'control-unit',
    title: 'Control unit gives no proper reference',
    remedy:
      'Unplug the other sensors on this reference one by one, then check the unit’s own feeds and grounds.',
    prior: 0.05,
  },
  'return-resistance': {
    class: 'wire',
    lane: 'return',
    title: 'Return wire open or high in resistance',
    remedy: 'Repair the return wire or its contact between the last good and the first bad point.',
    prior: 0.09,
  },
  'unit-ground': {
    class: 'control-unit',
    title: 'Control unit’s own ground raised',
    remedy: 'Check the unit’s ground points by voltage drop before anything else.',
    prior: 0.03,
  },
  'signal-open': {
    class: 'wire',
    lane: 'signal',
    title: 'Signal wire open',
    remedy: 'Repair the signal wire between the last good and the first bad point.',
    prior: 0.1,
  },
  'signal-short-reference': {
    class: 'wire',
    title: 'Signal shorted to reference',
    remedy: 'Find where the signal and reference wires touch.',
    prior: 0.05,
  },
  'signal-short-ground': {
    class: 'wire',
    title: 'Signal shorted to ground or return',
    remedy: 'Find where the signal wire touches ground.',
    prior: 0.06,
  },
  'sensor-shifted': {
    class: 'sensor',
    title: 'Sensor reads shifted',
    remedy: 'Clean the port and hose, take the readings once more, then replace the sensor.',
    prior: 0.12,
  },
  'sensor-stuck': {
    class: 'sensor',
    title: 'Sensor stuck or dead',
    remedy: 'Replace the sensor, then take the same readings again.',
    prior: 0.09,
  },
  'sensor-loads-reference': {
    class: 'sensor',
    title: 'Sensor pulls the reference down',
    remedy: 'Replace the sensor, then measure the reference with the new one plugged in.',
    prior: 0.03,
  },
  hose: {
    class: 'physical',
    title: 'Hose to the sensor blocked, split or off',
    remedy: 'Clear or replace the hose and its port.',
    prior: 0.09,
  },
  'engine-vacuum': {
    class: 'physical',
    title: 'Engine vacuum really is low',
    remedy: 'Look for leaks, late timing or a restricted exhaust. The sensor reports truly.',
    prior: 0.12,
  },
  path: {
    class: 'physical',
    title: 'What moves the sensor is at fault',
    remedy: 'Check linkage, hoses and air path, move the sensor directly, and take the readings again.',
    prior: 0.21,
  },
  'unit-input': {
    class: 'control-unit',
    title: 'Control unit does not read its input',
    remedy: 'Check the unit’s terminal and its software state before the unit itself.',
    prior: 0.03,
  },
  nothing: {
    class: 'nothing-found',
    title: 'Nothing wrong now',
    remedy: 'Wiggle the loom and drive with a recording: the fault may come and go.',
    prior: 0.06,
  },
} as const satisfies Record<string, Cause>;

export type CauseId = keyof typeof CAUSES;
export const CAUSE_IDS = Object.keys(CAUSES) as CauseId[];
export const causeOf = (id: CauseId): Cause => CAUSES[id];
