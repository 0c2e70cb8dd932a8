import { expectedAirflowGramsPerSecond } from '@lettura/core/measure/airflow';
import type { EngineState } from '@lettura/core/machine/places';
import { type Quantity, manifoldKpaAbs, ZERO_CELSIUS_KELVIN } from './quantities.ts';

/** In turns a minute. */
export const REVS: Record<EngineState, number> = {
  'key-off': 0,
  koeo: 0,
  cranking: 220,
  idle: 800,
  'held-revs': 2000,
  'snap-open': 2800,
  'under-load': 3000,
};
/** The engine warms the air that it draws. */
const WARMED_KELVIN = 20;

export const airFlow =
  (litres: number): Quantity =>
  ({ engine }, surroundings) =>
    expectedAirflowGramsPerSecond({
      displacementLitres: litres,
      revsPerMinute: REVS[engine],
      pressureKpaAbs: manifoldKpaAbs(engine, surroundings),
      temperatureKelvin: surroundings.airCelsius + WARMED_KELVIN + ZERO_CELSIUS_KELVIN,
      volumetricEfficiency: 0.85,
    });
