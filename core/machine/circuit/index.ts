export { clamp, divider, limitedSupply, source, type Conductor } from './conductor.ts';
export {
  Network,
  OPEN_OHMS,
  SHORT_OHMS,
  type ConductorId,
  type NetworkParts,
  type ResistorId,
  type StageId,
} from './network.ts';
export type { SolveOutcome } from './searchPieces.ts';
export type { Stage } from './stage.ts';
export { loadedSupply, type LoadedSupply, type SupplyOhms } from './supplyOhms.ts';
