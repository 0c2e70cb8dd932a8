import { running, type MachineState } from '@lettura/core/machine/places';
import type { EngineFlowReading } from '@lettura/core/record/evidence';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** How well an engine fills, as one puts it in who does not know better. */
export const USUAL_FILLING_PERCENT = 75;

/** What somebody would put in for speed and density from live data; undefined where nothing turns, or no engine draws the flow. */
export function engineFlow(
  { machine: { litres, sensor }, airCelsius, engine }: SimulatedMachine,
  state: MachineState,
): Omit<EngineFlowReading, 'id'> | undefined {
  if (sensor.family !== 'air-flow' || litres === undefined || !running(state)) return undefined;
  const { revsPerMinute, manifoldKpaAbs } = engine(state);
  return {
    kind: 'engine-flow',
    state,
    displacementLitres: litres,
    revsPerMinute: Math.round(revsPerMinute / 10) * 10,
    manifoldKpaAbs: Math.round(manifoldKpaAbs),
    airCelsius: Math.round(airCelsius),
    fillingPercent: USUAL_FILLING_PERCENT,
  };
}
