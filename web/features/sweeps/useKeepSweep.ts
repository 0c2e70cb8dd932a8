import type { RecordingInfo } from '@lettura/contract';
import type { PressureBasis } from '@lettura/core/measure/quantity';
import type { ChannelUse, SweepContext, SweepFinding } from '@lettura/core/recording/sweep';
import type { Problem } from '@lettura/core/measure/problem';
import { useDispatch } from 'react-redux';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { api } from '../../app/api.ts';
import type { Held } from './sweepMessages.ts';
import type { AskSweep } from './useSweepWorker.ts';

export interface KeepSweep {
  jobId: string;
  name: string;
  source: RecordingInfo['source'];
  held: Held;
  uses: readonly ChannelUse[];
  bases?: readonly (PressureBasis | undefined)[] | undefined;
  /** Its marks are kept with the recording. */
  context: Omit<SweepContext, 'uses' | 'bases'>;
  takenAt?: Date;
  note?: string;
}

const MOST_FINDINGS = 200;

/** What was odd in the file stays with the recording. */
const remarksOn = ({ remarks, durationSeconds }: Held): SweepFinding[] =>
  remarks.map((sentence) => ({
    kind: 'import',
    weight: 'note',
    sentence,
    channel: 0,
    fromSeconds: 0,
    untilSeconds: durationSeconds,
  }));

/** Analyses what the worker holds, keeps it on the job, and opens it. */
export function useKeepSweep(ask: AskSweep): (sweep: KeepSweep) => Promise<Problem | undefined> {
  const dispatch = useDispatch();
  const navigate = useNavigate();
  return async ({
    jobId,
    name,
    source,
    held,
    uses,
    bases = [],
    context,
    takenAt = new Date(held.startedAtMs ?? Date.now()),
    note = '',
  }) => {
    const findings = await ask('analyse', { context: { ...context, uses, bases } });
    if (!findings.ok) return findings.problem;
    const id = v7();
    const { samples, durationSeconds } = held;
    const sent = await ask('send', {
      info: {
        id,
        jobId,
        name,
        takenAt: takenAt.toISOString(),
        source,
        channels: held.channels.map((channel, i) => ({
          ...channel,
          use: uses[i] ?? 'other',
          ...(bases[i] ? { basis: bases[i] } : {}),
        })),
        samples,
        durationSeconds,
        findings: [...findings.value, ...remarksOn(held)].slice(0, MOST_FINDINGS),
        marks: [...(context.marks ?? [])],
        note,
      },
    });
    if (!sent.ok) return sent.problem;
    dispatch(api.util.invalidateTags(['Recording', { type: 'Job', id: jobId }]));
    void navigate(`/sweeps/${id}`);
    return undefined;
  };
}
