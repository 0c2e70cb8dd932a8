import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { isWithdrawn, type JobSheet, type RecordingInfo } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';
import type { SweepContext } from '@lettura/core/recording/sweep';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useReviseRecordingMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { PAPER } from '../../ui/paper.ts';
import { ambientOf } from './ambientOf.ts';
import { MeaningFields, twiceUsed } from './MeaningFields.tsx';
import type { AskSweep } from './useSweepWorker.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface RevisePanelProps {
  recording: RecordingInfo;
  sheet: JobSheet;
  context: Omit<SweepContext, 'uses' | 'bases'>;
  ask: AskSweep;
  onRevised: () => void;
}

/** Says anew what the channels of a kept recording are, or takes it back: its numbers stay as they are. */
export function RevisePanel({ recording, sheet, context, ask, onRevised }: RevisePanelProps) {
  const [channels, setChannels] = useState(recording.channels);
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  const [revise, { isLoading }] = useReviseRecordingMutation();
  const withdrawn = isWithdrawn(recording);
  const twice = twiceUsed(channels.map(({ use }) => use));

  const keep = async (change: Pick<RecordingInfo, 'channels' | 'findings'> & { withdrawn: boolean }) => {
    const answer = await revise({
      id: v7(),
      recordingId: recording.id,
      jobId: recording.jobId,
      revisedAt: new Date().toISOString(),
      ...change,
    });
    setProblem(answer.error && requestProblem(answer.error));
    if (!answer.error) onRevised();
  };
  const readAnew = async () => {
    const found = await ask('analyse', {
      channels: channels.map(({ name, unit }) => ({ name, unit })),
      context: {
        ...context,
        ambientKpaAbs: ambientOf(sheet),
        uses: channels.map(({ use }) => use),
        bases: channels.map(({ basis }) => basis),
      },
    });
    if (!found.ok) return setProblem(found.problem);
    // What was odd in the file stays odd.
    const odd = recording.findings.filter(({ kind }) => kind === 'import');
    await keep({ channels, findings: [...found.value, ...odd], withdrawn });
  };
  const withdraw = () =>
    keep({ channels: recording.channels, findings: recording.findings, withdrawn: !withdrawn });
  return (
    <Box component="section" aria-label={t('ui-sweeps.what-the-channels-are')} sx={PAPER}>
      {withdrawn && (
        <Alert severity="info" sx={{ mb: 1 }}>
          {t('ui-sweeps.recording-withdrawn-counts-nothing-job')}
        </Alert>
      )}
      {open ? (
        <>
          <Typography variant="h2">{t('ui-sweeps.what-the-channels-are')}</Typography>
          {channels.map((channel, i) => (
            <Box key={i} sx={{ my: 1 }}>
              <MeaningFields
                name={channel.name}
                unit={channel.unit}
                meaning={{ use: channel.use, basis: channel.basis }}
                onUnit={(unit) => setChannels(channels.map((one, j) => (j === i ? { ...one, unit } : one)))}
                onMeaning={({ use, basis }) =>
                  setChannels(
                    channels.map((one, j) =>
                      j === i ? { name: one.name, unit: one.unit, use, ...(basis ? { basis } : {}) } : one,
                    ),
                  )
                }
              />
            </Box>
          ))}
          {twice && <Alert severity="warning">{twice}</Alert>}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
            <Button variant="contained" disabled={isLoading || !!twice} onClick={() => void readAnew()}>
              {t('ui-sweeps.read-anew')}
            </Button>
            <Button
              onClick={() => {
                setChannels(recording.channels);
                setOpen(false);
              }}
            >
              {t('ui-sweeps.leave-it-as-it-is')}
            </Button>
          </Box>
        </>
      ) : (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button variant="outlined" onClick={() => setOpen(true)}>
            {t('ui-sweeps.change-channels')}
          </Button>
          <Button variant="outlined" disabled={isLoading} onClick={() => void withdraw()}>
            {withdrawn ? t('ui-sweeps.bring-back') : t('ui-sweeps.withdraw-recording')}
          </Button>
        </Box>
      )}
      {problem && (
        <Alert severity="error" sx={{ mt: 1 }}>
          <SaidProblem problem={problem} />
        </Alert>
      )}
    </Box>
  );
}
