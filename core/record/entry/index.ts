export { parsePoints, type SecondColumn } from './parsePoints.ts';
export { quickEntry } from './quickEntry.ts';
export { betweenEntry } from './betweenEntry.ts';
export { type Entry, type EntryDefaults, type EntryFault } from './entry.ts';
