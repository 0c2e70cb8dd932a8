import { fixed, plain, say } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import {
  HIGHEST_ALTITUDE_M,
  LOWEST_ALTITUDE_M,
  standardPressureKpaAbs,
  stationPressureKpaAbs,
} from './standardAtmosphere.ts';

/** Where the ambient (station) pressure of a job comes from; the air's temperature where somebody noted it. */
export type AmbientSource = (
  | { source: 'barometer'; stationKpaAbs: number }
  | { source: 'vehicle'; stationKpaAbs: number }
  | { source: 'altitude'; altitudeM: number }
  | { source: 'weather'; seaLevelKpa: number; altitudeM: number }
) & { airCelsius?: number | undefined };

export const AMBIENT_SOURCES = ['barometer', 'vehicle', 'altitude', 'weather'] as const;

export interface Ambient {
  pressureKpaAbs: number;
  /** k = 2. */
  expandedUncertaintyKpa: number;
  source: AmbientSource['source'];
  airCelsius?: number;
}

/**
 * Expanded uncertainties (k = 2), common practice: a workshop barometer; the vehicle's own barometric sensor, in live
 * data steps of 1 kPa; a report of the hour from a station nearby
 * whose altitude is known to ±15 m; altitude alone, which leaves the day's weather (about ±2.5 kPa) unknown.
 */
const EXPANDED_UNCERTAINTY_KPA = { barometer: 0.3, vehicle: 1.5, weather: 0.5, altitude: 2.5 } as const;

/** A front moves the barometer by more than its own doubt within half a day (common practice); altitude stays. */
const STALE_AFTER_MS = 12 * 3_600_000;

/** Whether the weather may have changed since: hours for a barometer, and not at all for an altitude. */
export const ambientIsStale = (source: AmbientSource['source'], ageMs: number): boolean =>
  source !== 'altitude' && ageMs > STALE_AFTER_MS;

/** The lowest and highest pressures that weather and roads bring, with room to spare. */
const PLAUSIBLE_KPA_ABS = [45, 110] as const;

/** Ambient in kPa absolute with its doubt, from how it was given; fails on what is no pressure of this earth. */
export function ambientFrom(
  given: AmbientSource,
): Result<Ambient, 'altitude-out-of-range' | 'ambient-implausible'> {
  if (
    'altitudeM' in given &&
    !(given.altitudeM >= LOWEST_ALTITUDE_M && given.altitudeM <= HIGHEST_ALTITUDE_M)
  ) {
    return fail(
      'altitude-out-of-range',
      say('quantity.altitude-m-outside-m', {
        altitude: plain(given.altitudeM, 'm'),
        lowest: plain(LOWEST_ALTITUDE_M),
        highest: plain(HIGHEST_ALTITUDE_M, 'm'),
      }),
      say('quantity.enter-altitude-above-sea-level'),
    );
  }
  const pressureKpaAbs = stationPressure(given);
  if (!(pressureKpaAbs >= PLAUSIBLE_KPA_ABS[0] && pressureKpaAbs <= PLAUSIBLE_KPA_ABS[1])) {
    return fail(
      'ambient-implausible',
      say('quantity.ambient-pressure-does-not-occur', { pressureKpaAbs: fixed(pressureKpaAbs, 1, 'kPa') }),
      given.source === 'barometer' || given.source === 'vehicle'
        ? say('quantity.enter-pressure-place-station-pressure')
        : say('quantity.check-sea-level-pressure-unit'),
    );
  }
  return ok({
    pressureKpaAbs,
    expandedUncertaintyKpa: EXPANDED_UNCERTAINTY_KPA[given.source],
    source: given.source,
    ...(given.airCelsius === undefined ? {} : { airCelsius: given.airCelsius }),
  });
}

function stationPressure(given: AmbientSource): number {
  switch (given.source) {
    case 'barometer':
    case 'vehicle':
      return given.stationKpaAbs;
    case 'altitude':
      return standardPressureKpaAbs(given.altitudeM);
    case 'weather':
      return stationPressureKpaAbs(given.seaLevelKpa, given.altitudeM);
  }
}
