export { Lanes } from './Lanes.tsx';
export { meaningOf } from './meaning.ts';
export { padIn } from './padOf.ts';
export { FollowUpRemarks } from './FollowUps.tsx';
export { SameTestsTable } from './SameTestsTable.tsx';
export { RecordTable } from './RecordTable.tsx';
export { selectInHand, sheetSlice, sheetStorage } from './sheetSlice.ts';
export { GateList } from './StandingPanel.tsx';
export { useSheet, type Sheet } from './useSheet.ts';
