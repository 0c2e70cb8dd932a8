export { decodeCandump, looksLikeCandump, readFrame, type DecodedLog, type LiveAnswer } from './candump.ts';
export {
  layoutOf,
  looksBinary,
  MOST_COLUMNS,
  TIME_FORMS,
  type Layout,
  type LayoutColumn,
  type LayoutFault,
  type TimeForm,
} from './layout.ts';
export { NumberScanner, type BadCell, type ScanResult } from './numberScanner.ts';
export { csvMetadata, csvOf } from './writeCsv.ts';
export { recordingJson, RECORDING_FORMAT, RECORDING_VERSION, type RecordingHeading } from './writeJson.ts';
