import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { RecordingInfo } from '@lettura/contract';
import type { Problem } from '@lettura/core/problem';
import type { ChannelUse, Recording, SweepContext } from '@lettura/core/sweep';
import { useState } from 'react';
import { Link } from 'react-router';
import { useListFeedsQuery } from '../../app/api.ts';
import { CaptureBar } from '../live/index.ts';
import { usesOf } from './usesOf.ts';
import { packed } from './packRecording.ts';
import { RecordingList } from './RecordingList.tsx';
import { useKeepSweep } from './useKeepSweep.ts';
import { useSweepWorker } from './useSweepWorker.ts';

export interface SweepSectionProps {
  jobId: string;
  recordings: readonly RecordingInfo[];
  context: Omit<SweepContext, 'uses'>;
  /** Moves the simulated sensor slowly through its travel and logs it; left out where there is none. */
  record?: (() => { recording: Recording; uses: ChannelUse[] }) | undefined;
}

/** The recordings of a job: import one, or sweep the simulated sensor. */
export function SweepSection({ jobId, recordings, context, record }: SweepSectionProps) {
  const { ask } = useSweepWorker();
  const keep = useKeepSweep(ask);
  const [problem, setProblem] = useState<Problem>();
  const [working, setWorking] = useState(false);
  const { data: feeds } = useListFeedsQuery();
  const feed = feeds?.find(({ id }) => id === 'meter');
  const keepThis = async (
    { recording, uses }: { recording: Recording; uses: ChannelUse[] },
    name: string,
    source: RecordingInfo['source'],
  ) => {
    setWorking(true);
    const samples = recording.seconds.length;
    const held = await ask('load', {
      data: await packed(recording),
      samples,
      channels: recording.channels.map((one) => ({ name: one.name, unit: one.unit })),
    });
    const refused = held.ok
      ? await keep({
          jobId,
          name,
          source,
          held: held.value,
          uses,
          context,
        })
      : held.problem;
    setProblem(refused);
    setWorking(false);
    return !refused;
  };
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 1 }}>
        <Button component={Link} to={`/jobs/${jobId}/sweeps/import`} variant="contained">
          Import a recording
        </Button>
        {record && (
          <Button
            variant="outlined"
            onClick={() => void keepThis(record(), 'Slow travel, up and down', 'bench')}
            disabled={working}
          >
            {working ? 'Recording …' : 'Sweep the simulated sensor'}
          </Button>
        )}
      </Box>
      {!record && feed && (
        <CaptureBar
          feed={feed}
          jobId={jobId}
          onCaptured={(recording) =>
            keepThis(
              { recording, uses: usesOf(recording.channels, context.companion) },
              'From the meter',
              'live',
            )
          }
        />
      )}
      {problem && (
        <Alert severity="error" sx={{ mb: 1 }}>
          {problem.message} {problem.next}
        </Alert>
      )}
      {recordings.length > 0 ? (
        <RecordingList recordings={recordings} />
      ) : (
        <Typography>
          No recording yet. A meter passes a dead spot by: record a slow travel, key on and engine off, and
          import it here.
        </Typography>
      )}
    </Box>
  );
}
