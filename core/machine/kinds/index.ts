export { FAULT_KIND_IDS, PHYSICAL_KIND_IDS, type FaultKindId, type PhysicalKindId } from './kindIds.ts';
