import type { FeedSample } from '@lettura/contract';
import type { ChannelUse, Recording, SweepMark } from '@lettura/core/recording/sweep';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A recording that is being taken or was not kept yet, without its numbers. */
export interface CaptureInfo {
  id: string;
  jobId: string;
  name: string;
  /** As it began, in milliseconds since 1970. */
  startedMs: number;
  /** What it was taken from. */
  source: string;
  channels: { name: string; unit: string }[];
  uses: ChannelUse[];
  marks: SweepMark[];
  note: string;
  /** Samples that were lost on the way. */
  missed: number;
  /** Stopped by hand: nothing of its end is missing. */
  ended: boolean;
}

interface Piece {
  captureId: string;
  number: number;
  /** Row by row: the moment in ms, then the channels; NaN for gaps. */
  rows: Float64Array;
}

interface Captures extends DBSchema {
  capture: { key: string; value: CaptureInfo; indexes: { byJob: string } };
  piece: { key: [string, number]; value: Piece };
}

let opened: Promise<IDBPDatabase<Captures>> | undefined;
const database = () =>
  (opened ??= openDB<Captures>('lettura-captures', 1, {
    upgrade(db) {
      db.createObjectStore('capture', { keyPath: 'id' }).createIndex('byJob', 'jobId');
      db.createObjectStore('piece', { keyPath: ['captureId', 'number'] });
    },
  }));

const piecesOf = (id: string) => IDBKeyRange.bound([id, 0], [id, Infinity]);

/** Keeps captures in this browser, second by second, so that a page that dies loses the last second at most. */
export const captureStore = {
  async saveInfo(info: CaptureInfo): Promise<void> {
    await (await database()).put('capture', info);
  },

  /** On the disk before it returns: a browser that is killed afterwards still has it. */
  async addPiece(captureId: string, number: number, rows: Float64Array): Promise<void> {
    const write = (await database()).transaction('piece', 'readwrite', { durability: 'strict' });
    await Promise.all([write.store.put({ captureId, number, rows }), write.done]);
  },

  async ofJob(jobId: string): Promise<CaptureInfo[]> {
    return (await database()).getAllFromIndex('capture', 'byJob', jobId);
  },

  async read(info: CaptureInfo): Promise<Recording> {
    const pieces = await (await database()).getAll('piece', piecesOf(info.id));
    return recordingOf(
      pieces.map(({ rows }) => rows),
      info.channels,
    );
  },

  async remove(id: string): Promise<void> {
    const write = (await database()).transaction(['capture', 'piece'], 'readwrite');
    await Promise.all([
      write.objectStore('capture').delete(id),
      write.objectStore('piece').delete(piecesOf(id)),
      write.done,
    ]);
  },
};

/** Samples as rows of a piece. */
export function rowsOf(samples: readonly FeedSample[], channels: number): Float64Array {
  const rows = new Float64Array(samples.length * (channels + 1)).fill(NaN);
  samples.forEach(({ atMs, values }, i) => {
    const at = i * (channels + 1);
    rows[at] = atMs;
    for (let channel = 0; channel < channels; channel++) rows[at + 1 + channel] = values[channel] ?? NaN;
  });
  return rows;
}

/** Pieces in a row as one recording, its moments from its first sample. */
export function recordingOf(
  pieces: readonly Float64Array[],
  channels: readonly { name: string; unit: string }[],
): Recording {
  const width = channels.length + 1;
  const samples = pieces.reduce((sum, rows) => sum + rows.length / width, 0);
  const columns = Array.from({ length: width }, () => new Float64Array(samples));
  const start = pieces[0]?.[0] ?? 0;
  let row = 0;
  for (const rows of pieces)
    for (let at = 0; at < rows.length; at += width, row++) {
      columns[0]![row] = (rows[at]! - start) / 1000;
      for (let column = 1; column < width; column++) columns[column]![row] = rows[at + column]!;
    }
  const [seconds, ...values] = columns;
  return {
    seconds: seconds!,
    channels: channels.map(({ name, unit }, i) => ({ name, unit, values: values[i]! })),
  };
}
