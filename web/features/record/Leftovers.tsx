import { say } from '@lettura/core/measure/message';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { Problem } from '@lettura/core/measure/problem';
import type { Recording } from '@lettura/core/recording/sweep';
import { useEffect, useState } from 'react';
import { dayAndTime } from '../../ui/when.ts';
import { captureStore, heldCaptures, type CaptureInfo } from '../live/index.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface LeftoversProps {
  jobId: string;
  onKeep: (info: CaptureInfo, recording: Recording) => Promise<Problem | undefined>;
}

const LOOK_AGAIN_MS = 2000;

/** Recordings of this job that never reached it: a page died, or the server was away. */
export function Leftovers({ jobId, onKeep }: LeftoversProps) {
  const [found, setFound] = useState<readonly CaptureInfo[]>([]);
  const [problem, setProblem] = useState<Problem>();
  useEffect(() => {
    let current = true;
    const look = () => void leftOver(jobId).then((all) => current && setFound(all));
    look();
    // A lock is let go of a moment after its capture, or when another page dies: look again.
    const timer = setInterval(look, LOOK_AGAIN_MS);
    return () => {
      current = false;
      clearInterval(timer);
    };
  }, [jobId]);
  const keep = async (info: CaptureInfo) => {
    const recording = await captureStore.read(info);
    setProblem(
      recording.seconds.length > 1
        ? await onKeep(info, recording)
        : {
            code: 'empty-capture',
            message: say('app.less-than-second-there-when'),
            next: say('app.throw-away-record-again'),
          },
    );
  };
  const remove = async ({ id }: CaptureInfo) => {
    await captureStore.remove(id);
    setFound(found.filter((other) => other.id !== id));
  };
  return (
    <>
      {found.map((info) => (
        <Alert
          key={info.id}
          severity="warning"
          action={
            <>
              <Button color="inherit" variant="outlined" onClick={() => void keep(info)} sx={{ mr: 1 }}>
                {t('ui-record.keep-it')}
              </Button>
              <Button color="inherit" onClick={() => void remove(info)}>
                {t('ui-record.throw-away')}
              </Button>
            </>
          }
          sx={{ mb: 1 }}
        >
          {t('ui-record.recording-began-not-job-yet', {
            source: info.source,
            dayAndTime: dayAndTime(new Date(info.startedMs).toISOString()),
            which: info.ended ? '' : t('ui-record.page-died-meanwhile-up-last'),
          })}
        </Alert>
      ))}
      {problem && (
        <Alert severity="error" sx={{ mb: 1 }}>
          <SaidProblem problem={problem} />
        </Alert>
      )}
    </>
  );
}

/** What another page is still taking is nothing left over. */
async function leftOver(jobId: string): Promise<readonly CaptureInfo[]> {
  try {
    const [all, held] = await Promise.all([captureStore.ofJob(jobId), heldCaptures()]);
    return all.filter(({ id }) => !held.has(id));
  } catch {
    return [];
  }
}
