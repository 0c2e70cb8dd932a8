export { driveFor } from './driveFor.ts';
export { JOINTS, type Drive, type Joint, type PartName } from './parts.ts';
export { BATTERY_NEGATIVE, BATTERY_POSITIVE, UNIT_GROUND, Wiring, type WirePoint } from './wiring.ts';
export {
  WIRES,
  type Rail,
  type SensorModel,
  type UnitEnd,
  type Wire,
  type WireSpec,
  type WiringSpec,
} from './wiringSpec.ts';
export { usualWires, wiringFor, type WiredSensor } from './wiringFor.ts';
