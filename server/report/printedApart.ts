import { threads } from '../threads.ts';
import type { ReportAsked } from './reportAsked.ts';

/** Reports are rare, and one at a time is soon enough. */
export const { run: printedApart, end: endReports } = threads<ReportAsked, Uint8Array>(
  new URL('./reportWorker.ts', import.meta.url),
  { most: 1, kept: 0, idleMs: 10_000 },
);
