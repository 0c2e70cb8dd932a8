export { solveNodeVoltages, type Component } from './solveNodeVoltages.ts';
export { loadedSupply, type LoadedSupply, type SupplyOhms } from './supplyOhms.ts';
