import type { JobSheet } from '@lettura/contract';
import { say, type Message } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import type { Recording } from '@lettura/core/recording/sweep';
import { captureStore, type CaptureInfo } from '../live/index.ts';
import { ambientOf, rememberUses, useKeepSweep, useSweepWorker } from '../sweeps/index.ts';

/** Analyses a capture, keeps it on its job, and only then lets go of it in this browser. */
export function useKeepCapture(
  sheet: JobSheet,
): (info: CaptureInfo, recording: Recording) => Promise<Problem | undefined> {
  const { sensor } = sheet;
  const { ask } = useSweepWorker();
  const keep = useKeepSweep(ask);
  return async (info, recording) => {
    const held = await ask('take', { recording });
    if (!held.ok) return held.problem;
    const { uses, marks, note, startedMs, jobId, name } = info;
    rememberUses(info.channels, uses);
    const problem = await keep({
      jobId,
      name,
      source: 'live',
      held: { ...held.value, remarks: remarksOn(info) },
      uses,
      context: {
        profile: sensor.profile,
        companion: sensor.companion,
        ambientKpaAbs: ambientOf(sheet),
        marks,
      },
      takenAt: new Date(startedMs),
      note,
    });
    if (!problem) await captureStore.remove(info.id).catch(() => undefined);
    return problem;
  };
}

const remarksOn = ({ ended, missed }: CaptureInfo): Message[] => [
  ...(ended ? [] : [say('ui-record.page-died-while-recorded-up')]),
  ...(missed > 0 ? [say('ui-record.samples-were-lost-between-instrument', { missed })] : []),
];
