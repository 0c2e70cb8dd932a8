import { HIGHEST_ALTITUDE_M, LOWEST_ALTITUDE_M } from '@lettura/core/measure/quantity';
import { z } from 'zod';

const kpaAbs = z.number().min(0).max(1000);
const altitudeM = z.number().min(LOWEST_ALTITUDE_M).max(HIGHEST_ALTITUDE_M);

const airCelsius = z.number().min(-60).max(60).optional();

export const ambientSource = z.discriminatedUnion('source', [
  z.strictObject({ source: z.literal('barometer'), stationKpaAbs: kpaAbs, airCelsius }),
  z.strictObject({ source: z.literal('vehicle'), stationKpaAbs: kpaAbs, airCelsius }),
  z.strictObject({ source: z.literal('altitude'), altitudeM, airCelsius }),
  z.strictObject({ source: z.literal('weather'), seaLevelKpa: kpaAbs, altitudeM, airCelsius }),
]);
