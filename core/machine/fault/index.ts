export { allFaults, FAULT_KINDS, faultKind } from './catalogue.ts';
export type { CurveEffect, Effect, ElementEffect, QuantityEffect, Touch } from './effect.ts';
export {
  allSites,
  faultAnywhere,
  faultOf,
  sizeAt,
  type Fault,
  type FaultClass,
  type FaultKind,
  type FaultSite,
  type FaultSubject,
  type SizeRange,
} from './faultKind.ts';
export { effectsOf, elementDrive, situate, type SensorElement, type Situation } from './situate.ts';
export { feltBy, isOnTheWay } from './valueFelt.ts';
export { valueMet } from './valueMet.ts';
export { FAULT_KIND_IDS, type FaultKindId } from '../kinds/index.ts';
export { isInPlug, lanesOf, siteId, type Site, type SiteId } from './site.ts';
export { PHYSICAL_SAID } from './physicalSaid.ts';
export { briefSite, jointSaid, siteSaid } from './siteSaid.ts';
export { LOOM_HIDES } from './loom.ts';
