import { threads } from '../threads.ts';
import type { DrawnRecording } from './recordingPictures.ts';

/** A report asks for those of one job; one at a time is soon enough. */
export const { run: picturedApart, end: endPictures } = threads<DrawnRecording, string[]>(
  new URL('./picturesWorker.ts', import.meta.url),
  { most: 1, kept: 0, idleMs: 10_000 },
);
