export { FindingList } from './FindingList.tsx';
export { SweepSection } from './SweepSection.tsx';
export { useKeepSweep } from './useKeepSweep.ts';
export { rememberUses, usesOf } from './usesOf.ts';
export { useSweepWorker } from './useSweepWorker.ts';
export { USE_WORDS } from './useWords.ts';
export { ambientOf } from './ambientOf.ts';
