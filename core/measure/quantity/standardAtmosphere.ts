/**
 * US Standard Atmosphere, 1976: the lowest layer, a constant lapse from the surface to 11 km.
 * Constants are the standard's own (its gas constant differs from today's in the fifth digit).
 */
export const SEA_LEVEL_KPA = 101.325;
const SEA_LEVEL_KELVIN = 288.15;
const LAPSE_KELVIN_PER_M = 0.0065;
const EARTH_RADIUS_M = 6_356_766;
const EXPONENT = (9.80665 * 28.9644) / (8314.32 * LAPSE_KELVIN_PER_M); // g₀·M₀ / (R*·L)

export const LOWEST_ALTITUDE_M = -430; // the lowest dry land
export const HIGHEST_ALTITUDE_M = 6000; // above any road

const temperatureShare = (altitudeM: number): number => {
  const geopotentialM = (EARTH_RADIUS_M * altitudeM) / (EARTH_RADIUS_M + altitudeM);
  return 1 - (LAPSE_KELVIN_PER_M * geopotentialM) / SEA_LEVEL_KELVIN;
};

/** Pressure in kPa absolute at a geometric altitude in metres above sea level. */
export const standardPressureKpaAbs = (altitudeM: number): number =>
  SEA_LEVEL_KPA * temperatureShare(altitudeM) ** EXPONENT;

/** The way back: what a barometer here would be reported as, reduced to sea level (QNH). */
export function seaLevelPressureKpa(stationKpaAbs: number, altitudeM: number): number {
  const rise = 1 - temperatureShare(altitudeM);
  return SEA_LEVEL_KPA * ((stationKpaAbs / SEA_LEVEL_KPA) ** (1 / EXPONENT) + rise) ** EXPONENT;
}

/**
 * Station pressure from a weather report reduced to sea level (QNH). The altimeter-setting formula: the report is
 * the sea-level pressure of a standard atmosphere that would give the station's pressure at the station's altitude
 * (ICAO Doc 7488; the reduction runs along the standard temperature profile).
 */
export function stationPressureKpaAbs(seaLevelKpa: number, altitudeM: number): number {
  const rise = 1 - temperatureShare(altitudeM);
  const root = (seaLevelKpa / SEA_LEVEL_KPA) ** (1 / EXPONENT);
  return SEA_LEVEL_KPA * (root - rise) ** EXPONENT;
}
