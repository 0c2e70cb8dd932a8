export { JUMPER_OHMS, METER_OHMS, SOURCE_OHMS } from './clipOhms.ts';
export { driveFor, secondShareBeside } from './driveFor.ts';
export { JOINTS, type Drive, type Joint, type PartName } from './parts.ts';
export { BATTERY_NEGATIVE, BATTERY_POSITIVE, UNIT_GROUND, Wiring, type WirePoint } from './wiring.ts';
export { type Rail, type SensorModel, type UnitEnd, type WireSpec, type WiringSpec } from './wiringSpec.ts';
export { wiringFor, type WiredSensor } from './wiringFor.ts';
