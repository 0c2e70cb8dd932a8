import type { PressureUnit } from '@lettura/core/measure/quantity';

/** Live data and barometers speak one unit, vacuum gauges usually another: both are shown as the user reads them. */
export interface Units {
  absolute: PressureUnit;
  vacuum: PressureUnit;
}
