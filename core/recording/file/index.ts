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
export { asTable, itemsLeftOut, namedRows, standingValues, type NamedRows } from './oneValueARow.ts';
export { NumberScanner, type BadCell, type ScanResult } from './numberScanner.ts';
export { RECORDING_EXPORT_IDS, RECORDING_EXPORTS, type RecordingExport } from './exports.ts';
export { csvMetadata, csvOf } from './writeCsv.ts';
export { jsonOf, RECORDING_FORMAT, RECORDING_VERSION, type RecordingHeading } from './writeJson.ts';
