import type { Recording } from '../sweep/index.ts';
import { csvOf } from './writeCsv.ts';
import { jsonOf, type RecordingHeading } from './writeJson.ts';

interface ExportSpec {
  /** As everybody calls it. */
  name: string;
  /** What its columns are is given beside it. */
  described?: true;
  extension: string;
  /** As the registry of media types has it. */
  type: string;
  /** In pieces, since it may be long. */
  pieces: (recording: Recording, heading: RecordingHeading) => Iterable<string>;
}

/** Every form in which a recording is given away. */
const EXPORTS = {
  csv: { name: 'CSV', described: true, extension: 'csv', type: 'text/csv', pieces: csvOf },
  json: { name: 'JSON', extension: 'json', type: 'application/json', pieces: jsonOf },
} satisfies Record<string, ExportSpec>;
export type RecordingExport = keyof typeof EXPORTS;
export const RECORDING_EXPORTS: Readonly<Record<RecordingExport, ExportSpec>> = EXPORTS;
/** The names of those forms, in the order offered. */
export const RECORDING_EXPORT_IDS = Object.keys(RECORDING_EXPORTS) as RecordingExport[];
