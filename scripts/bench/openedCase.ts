import { barometerDisplay, type SimulatedMachine } from '@lettura/bench';
import { commonGauge } from '@lettura/core/machine/family';
import { ambientFrom } from '@lettura/core/measure/quantity';
import type { CaseFile } from '@lettura/core/judge/checks';
import { USUAL_WEIGHTS } from '@lettura/core/judge/priors';
import { COMMON_METER } from '@lettura/core/measure/uncertainty';

/** The job of a machine before anything is read but the barometer and the codes. */
export function openedCase(one: SimulatedMachine, codes: readonly string[]): CaseFile {
  const { sensor, litres } = one.machine;
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: barometerDisplay(one) });
  return {
    family: sensor.family,
    profile: sensor.profile,
    companion: sensor.companion,
    ambient: ambient.ok ? { ...ambient.value, airCelsius: one.airCelsius } : undefined,
    readings: [],
    isolation: [],
    observations: [],
    codes,
    starting: USUAL_WEIGHTS,
    sweeps: [],
    displacementLitres: litres,
    meter: COMMON_METER,
    gauge: commonGauge(sensor.family),
  };
}
