export { parsePoints } from './parsePoints.ts';
export { betweenEntry, quickEntry, type Entry, type EntryDefaults, type EntryFault } from './quickEntry.ts';
