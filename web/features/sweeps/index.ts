export { FindingList } from './FindingList.tsx';
export { SweepSection } from './SweepSection.tsx';
