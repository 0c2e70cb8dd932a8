import { fromKpa, isPressure, toKpa } from '@lettura/core/measure/quantity';
import { COMMON_VACUUM_GAUGE } from '@lettura/core/measure/uncertainty';
import type { GaugeTap, MachineState } from '@lettura/core/machine/places';
import { seededRandom } from './random.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** A mechanical gauge teed in: what its needle shows, and what that is in kPa of its basis. */
export interface GaugeDisplay {
  text: string;
  unit: 'inHg' | 'kPa';
  basis: 'vacuum' | 'gauge' | 'differential';
  pressureKpa: number;
}

const KPA_GAUGE_CLASS_PERCENT = 1.6;
const DIVISIONS = 50;

/** Undefined where no gauge goes: a position or a flow has no pressure to show. */
export function gaugeDisplay(
  machine: SimulatedMachine,
  state: MachineState,
  tap: GaugeTap,
  seed: number,
): GaugeDisplay | undefined {
  const { sensor } = machine.machine;
  if (!isPressure(sensor.profile.measures)) return undefined;
  const value = machine.quantity(state, tap === 'manifold' ? 'source' : 'sensor');
  const error = seededRandom(seed + 1)() - 0.5; // inside its class, and always the same
  if (sensor.family === 'manifold-pressure') return vacuumGauge(machine.ambientKpaAbs - value, error);
  const absolute = sensor.profile.measures === 'absolute-pressure';
  const span = sensor.profile.highest - (absolute ? sensor.profile.lowest : 0);
  const shown =
    value - (absolute ? machine.ambientKpaAbs : 0) + (error * KPA_GAUGE_CLASS_PERCENT * span) / 100;
  const half = roundDivision(span / DIVISIONS) / 2;
  const pressureKpa = Math.max(0, Math.round(shown / half) * half);
  return {
    text: String(Number(pressureKpa.toPrecision(6))),
    unit: 'kPa',
    basis: sensor.profile.measures === 'differential-pressure' ? 'differential' : 'gauge',
    pressureKpa,
  };
}

function vacuumGauge(vacuumKpa: number, error: number): GaugeDisplay {
  const { classPercent, spanKpa, divisionKpa } = COMMON_VACUUM_GAUGE.accuracy;
  const halfDivision = fromKpa(divisionKpa, 'inHg') / 2;
  const shown = fromKpa(vacuumKpa + (error * classPercent * spanKpa) / 100, 'inHg');
  const vacuumInHg = Math.max(0, Math.round(shown / halfDivision) * halfDivision);
  return {
    text: vacuumInHg.toFixed(2),
    unit: 'inHg',
    basis: 'vacuum',
    pressureKpa: toKpa(vacuumInHg, 'inHg'),
  };
}

/** 1, 2 or 5 of a decade, as printed scales have them. */
function roundDivision(kpa: number): number {
  const decade = 10 ** Math.floor(Math.log10(kpa));
  return decade * ([1, 2, 5].find((step) => step * decade >= kpa) ?? 10);
}

export const barometerDisplay = (machine: SimulatedMachine): number =>
  Math.round(machine.ambientKpaAbs * 10) / 10;
