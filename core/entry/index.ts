export { parsePoints } from './parsePoints.ts';
export { quickEntry, type Entry, type EntryDefaults, type EntryFault } from './quickEntry.ts';
