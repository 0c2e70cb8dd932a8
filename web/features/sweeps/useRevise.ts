import type { JobSheet, RecordingInfo } from '@lettura/contract';
import { isWithdrawn } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useReviseRecordingMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { ambientOf } from './ambientOf.ts';
import type { AskSweep } from './useSweepWorker.ts';

/** What can be said anew of a recording: its numbers stay. */
export type Said = Partial<Pick<RecordingInfo, 'channels' | 'name' | 'note' | 'marks'>> & {
  withdrawn?: boolean;
};

export interface Revise {
  /** Says it; whether the server took it. */
  say: (said: Said) => Promise<boolean>;
  problem: Problem | undefined;
  isBusy: boolean;
}

/** Says anew what is on record of a recording. Where what was found hangs on it, it is looked for anew. */
export function useRevise(
  recording: RecordingInfo,
  sheet: JobSheet | undefined,
  ask: AskSweep,
  onRevised: () => void,
): Revise {
  const [problem, setProblem] = useState<Problem>();
  const [revise, { isLoading }] = useReviseRecordingMutation();
  const foundAnew = async ({
    channels = recording.channels,
    marks = recording.marks,
  }: Said): Promise<RecordingInfo['findings'] | Problem> => {
    if (!sheet || (channels === recording.channels && marks === recording.marks)) return recording.findings;
    const found = await ask('analyse', {
      channels: channels.map(({ name, unit }) => ({ name, unit })),
      context: {
        profile: sheet.sensor.profile,
        companion: sheet.sensor.companion,
        marks,
        ambientKpaAbs: ambientOf(sheet),
        uses: channels.map(({ use }) => use),
        bases: channels.map(({ basis }) => basis),
      },
    });
    if (!found.ok) return found.problem;
    // What was odd in the file stays odd.
    return [...found.value, ...recording.findings.filter(({ kind }) => kind === 'import')];
  };
  const say = async (said: Said): Promise<boolean> => {
    const findings = await foundAnew(said);
    if (!Array.isArray(findings)) {
      setProblem(findings);
      return false;
    }
    const { withdrawn = isWithdrawn(recording), channels = recording.channels, ...rest } = said;
    const answer = await revise({
      id: v7(),
      recordingId: recording.id,
      jobId: recording.jobId,
      revisedAt: new Date().toISOString(),
      withdrawn,
      channels,
      findings: [...findings],
      ...rest,
    });
    setProblem(answer.error && requestProblem(answer.error));
    if (!answer.error) onRevised();
    return !answer.error;
  };
  return { say, problem, isBusy: isLoading };
}
