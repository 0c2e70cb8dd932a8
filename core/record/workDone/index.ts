export { changesReadings, WORK_IDS, workSaid, type WorkId } from './workDone.ts';
