import type { AmbientSource } from '@lettura/core/measure/quantity';
import { MPX4250A } from '@lettura/core/measure/transfer';
import type { Reading } from './index.ts';

const uuid = (n: number): string => `01935a00-0000-7000-8000-${String(n).padStart(12, '0')}`;
const jobId = uuid(999);
const common = (n: number) => ({
  id: uuid(n),
  jobId,
  takenAt: `2026-11-24T08:00:${String(n).padStart(2, '0')}.000Z`,
  enteredText: '',
});
type Lane = Extract<Reading, { kind: 'wire' }>;

/** A job's record in a few words, for tests. */
export const SHARED = {
  uuid,
  jobId,
  profile: MPX4250A,
  wire: (n: number, over: Partial<Lane> = {}): Lane => ({
    ...common(n),
    kind: 'wire',
    state: { engine: 'koeo', plug: 'connected' },
    lane: 'signal',
    place: 'plug',
    volts: 2.31,
    ...over,
  }),
  withdrawal: (n: number, supersedes: string): Reading => ({ ...common(n), kind: 'withdrawal', supersedes }),
  ambient: (n: number, ambient: AmbientSource): Reading => ({ ...common(n), kind: 'ambient', ambient }),
};
