import { solveNodeVoltages, type Component } from './solveNodeVoltages.ts';

export interface SupplyOhms {
  referenceVolts: number;
  /** What the sensor draws from its reference. */
  supplyAmps: number;
  /** In the reference wire and in the return wire, contacts included. */
  referenceOhms: number;
  returnOhms: number;
}

export interface LoadedSupply {
  /** At the sensor plug, against battery negative. */
  referenceVolts: number;
  returnVolts: number;
}

/** What ohms in the wires leave of the supply at the plug; the sensor is taken as the resistor that draws its current. */
export function loadedSupply({
  referenceVolts,
  supplyAmps,
  referenceOhms,
  returnOhms,
}: SupplyOhms): LoadedSupply {
  const [, , reference, returned] = solveNodeVoltages(4, [
    { kind: 'source', plus: 1, minus: 0, volts: referenceVolts, seriesOhms: 1e-6 },
    wire(1, 2, referenceOhms),
    { kind: 'resistor', a: 2, b: 3, ohms: referenceVolts / supplyAmps },
    wire(3, 0, returnOhms),
  ]);
  return { referenceVolts: reference as number, returnVolts: returned as number };
}

/** No real wire has no resistance, and the solver needs some. */
const wire = (a: number, b: number, ohms: number): Component => ({
  kind: 'resistor',
  a,
  b,
  ohms: Math.max(ohms, 1e-6),
});
