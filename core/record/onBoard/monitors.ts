import { say, type Message } from '../../measure/message/index.ts';

/**
 * Self-tests of a control unit, as SAE J1979 names them in item 01 of service 01 (from memory), for both ways of ignition:
 * a code that needs one cannot come back before it has finished.
 */
export const MONITOR_IDS = [
  'misfire',
  'fuel-system',
  'components',
  'catalyst',
  'heated-catalyst',
  'evaporative',
  'secondary-air',
  'oxygen-sensor',
  'oxygen-sensor-heater',
  'egr-vvt',
  'nmhc-catalyst',
  'nox',
  'boost',
  'exhaust-gas-sensor',
  'particulate-filter',
] as const;
export type MonitorId = (typeof MONITOR_IDS)[number];

/** What a monitor of readiness watches. */
export const monitorSaid = (id: MonitorId): Message => say(`monitor.${id}`);
