import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { RecordingInfo } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';
import type { ChannelUse, Recording, SweepContext } from '@lettura/core/recording/sweep';
import { useState } from 'react';
import { Link } from 'react-router';
import { RecordingList } from './RecordingList.tsx';
import { useKeepSweep } from './useKeepSweep.ts';
import { useSweepWorker } from './useSweepWorker.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface SweepSectionProps {
  jobId: string;
  recordings: readonly RecordingInfo[];
  context: Omit<SweepContext, 'uses'>;
  /** Moves the simulated sensor slowly through its travel and logs it; left out where there is none. */
  record?: (() => Swept) | undefined;
  /** Captures the line of a simulated digital sender, fast and short; left out where there is none. */
  capture?: (() => Swept) | undefined;
}
interface Swept {
  recording: Recording;
  uses: ChannelUse[];
}

/** The recordings of a job: import one, or sweep the simulated sensor. */
export function SweepSection({ jobId, recordings, context, record, capture }: SweepSectionProps) {
  const { ask } = useSweepWorker();
  const keep = useKeepSweep(ask);
  const [problem, setProblem] = useState<Problem>();
  const [working, setWorking] = useState(false);
  const keepSwept = async (swept: Swept, name: string) => {
    setWorking(true);
    const held = await ask('take', { recording: swept.recording });
    setProblem(
      held.ok
        ? await keep({
            jobId,
            name,
            source: 'bench',
            held: held.value,
            uses: swept.uses,
            context,
          })
        : held.problem,
    );
    setWorking(false);
  };
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 1 }}>
        <Button component={Link} to={`/jobs/${jobId}/sweeps/record`} variant="contained">
          {t('ui-sweeps.record-live')}
        </Button>
        <Button component={Link} to={`/jobs/${jobId}/sweeps/import`} variant="outlined">
          {t('ui-sweeps.import-recording-2')}
        </Button>
        {record && (
          <Button
            variant="outlined"
            onClick={() => void keepSwept(record(), t('ui-sweeps.slow-travel-up-down'))}
            disabled={working}
          >
            {working ? t('ui-sweeps.recording') : t('ui-sweeps.sweep-simulated-sensor')}
          </Button>
        )}
        {capture && (
          <Button
            variant="outlined"
            onClick={() => void keepSwept(capture(), t('ui-sweeps.capture-of-line'))}
            disabled={working}
          >
            {working ? t('ui-sweeps.recording') : t('ui-sweeps.capture-simulated-line')}
          </Button>
        )}
      </Box>
      {problem && (
        <Alert severity="error" sx={{ mb: 1 }}>
          <SaidProblem problem={problem} />
        </Alert>
      )}
      {recordings.length > 0 ? (
        <RecordingList recordings={recordings} />
      ) : (
        <Typography>{t('ui-sweeps.no-recording-yet-meter-passes')}</Typography>
      )}
    </Box>
  );
}
