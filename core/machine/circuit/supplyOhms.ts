import { source } from './conductor.ts';
import { Network } from './network.ts';

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
  const network = new Network(4);
  network.addConductor(REGULATOR, 0, source(referenceVolts, STIFF_OHMS));
  network.addResistor(REGULATOR, SENSOR_REFERENCE, referenceOhms);
  network.addResistor(SENSOR_REFERENCE, SENSOR_RETURN, referenceVolts / supplyAmps);
  network.addResistor(SENSOR_RETURN, 0, returnOhms);
  network.solve();
  return { referenceVolts: network.volts(SENSOR_REFERENCE), returnVolts: network.volts(SENSOR_RETURN) };
}

const REGULATOR = 1;
const SENSOR_REFERENCE = 2;
const SENSOR_RETURN = 3;
/** The reference is taken as it is measured, so nothing is lost in the unit. */
const STIFF_OHMS = 1e-6;
