export { measurandSaid } from './measurandSaid.ts';
export {
  formatFine,
  formatValue,
  formatWithBasis,
  fromShown,
  shownUnit,
  toShown,
  unitInWords,
} from './formatValue.ts';
export { isPressure, MEASURAND_NAMES, MEASURANDS, type Measurand } from './measurands.ts';
export { AMBIENT_SOURCES, ambientFrom, ambientIsStale, type Ambient, type AmbientSource } from './ambient.ts';
export {
  fromGramsPerSecond,
  GRAMS_PER_SECOND_PER_UNIT,
  fromKelvin,
  MASS_FLOW_UNITS,
  TEMPERATURE_UNITS,
  toGramsPerSecond,
  toKelvin,
  type MassFlowUnit,
  type TemperatureUnit,
} from './otherUnits.ts';
export { ohmsInWords } from './ohmsInWords.ts';
export { oneNumber } from './oneNumber.ts';
export { parseAltitude } from './parseAltitude.ts';
export { parseOhms } from './parseOhms.ts';
export { HIGHEST_HERTZ, parsePulses, PULSES_SAID, type ParsedPulses } from './parsePulses.ts';
export {
  parseReading,
  pressureUnitNamed,
  type ParsedReading,
  type ReadingUnit,
  type ReadingWarning,
} from './parseReading.ts';
export {
  fromKpaAbs,
  PRESSURE_BASES,
  toKpaAbs,
  type PressureBasis,
  type PressureReading,
} from './pressureBasis.ts';
export {
  formatPressure,
  fromKpa,
  KPA_PER_UNIT,
  PRESSURE_UNITS,
  pressureDecimals,
  shownPressure,
  toKpa,
  type PressureUnit,
} from './pressureUnits.ts';
export {
  HIGHEST_ALTITUDE_M,
  LOWEST_ALTITUDE_M,
  seaLevelPressureKpa,
  standardPressureKpaAbs,
  stationPressureKpaAbs,
  SEA_LEVEL_KPA,
} from './standardAtmosphere.ts';
