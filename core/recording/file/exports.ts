import type { Recording } from '../sweep/index.ts';
import { csvOf } from './writeCsv.ts';
import { jsonOf, type RecordingHeading } from './writeJson.ts';

interface ExportSpec {
  extension: string;
  /** As the registry of media types has it. */
  type: string;
  /** In pieces, since it may be long. */
  pieces: (recording: Recording, heading: RecordingHeading) => Iterable<string>;
}

/** Every form in which a recording is given away. */
export const RECORDING_EXPORTS = {
  csv: { extension: 'csv', type: 'text/csv', pieces: csvOf },
  json: { extension: 'json', type: 'application/json', pieces: jsonOf },
} satisfies Record<string, ExportSpec>;
export type RecordingExport = keyof typeof RECORDING_EXPORTS;
/** The names of those forms, in the order offered. */
export const RECORDING_EXPORT_IDS = Object.keys(RECORDING_EXPORTS) as RecordingExport[];
