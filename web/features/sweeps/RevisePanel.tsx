import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { isWithdrawn, type RecordingInfo } from '@lettura/contract';
import { useState } from 'react';
import { PAPER } from '../../ui/paper.ts';
import { MeaningFields, twiceUsed } from './MeaningFields.tsx';
import type { Revise } from './useRevise.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface RevisePanelProps {
  recording: RecordingInfo;
  revise: Revise;
}

const MOST_NAME_LETTERS = 120;
const MOST_NOTE_LETTERS = 1000;

/** Says anew what a kept recording is called and what its channels are, or takes it back: its numbers stay as they are. */
export function RevisePanel({ recording, revise }: RevisePanelProps) {
  const [channels, setChannels] = useState(recording.channels);
  const [name, setName] = useState(recording.name);
  const [note, setNote] = useState(recording.note);
  const [open, setOpen] = useState(false);
  const { problem, isBusy } = revise;
  const withdrawn = isWithdrawn(recording);
  const twice = twiceUsed(channels.map(({ use }) => use));
  const leave = () => {
    setChannels(recording.channels);
    setName(recording.name);
    setNote(recording.note);
    setOpen(false);
  };
  return (
    <Box component="section" aria-label={t('ui-sweeps.what-the-channels-are')} sx={PAPER}>
      {withdrawn && (
        <Alert severity="info" sx={{ mb: 1 }}>
          {t('ui-sweeps.recording-withdrawn-counts-nothing-job')}
        </Alert>
      )}
      {open ? (
        <>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {t('ui-sweeps.what-the-channels-are')}
          </Typography>
          <TextField
            fullWidth
            size="small"
            label={t('ui-sweeps.recording-name')}
            value={name}
            onChange={({ target }) => setName(target.value)}
            error={name.trim() === ''}
            helperText={name.trim() === '' ? t('ui-sweeps.recording-needs-name') : undefined}
            slotProps={{ htmlInput: { maxLength: MOST_NAME_LETTERS } }}
            sx={{ mb: 1 }}
          />
          <TextField
            fullWidth
            multiline
            size="small"
            label={t('ui-sweeps.recording-note')}
            value={note}
            onChange={({ target }) => setNote(target.value)}
            slotProps={{ htmlInput: { maxLength: MOST_NOTE_LETTERS } }}
          />
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
            <Button
              variant="contained"
              disabled={isBusy || !!twice || name.trim() === ''}
              onClick={() => void revise.say({ channels, name: name.trim(), note: note.trim() })}
            >
              {t('ui-sweeps.read-anew')}
            </Button>
            <Button onClick={leave}>{t('ui-sweeps.leave-it-as-it-is')}</Button>
          </Box>
        </>
      ) : (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button variant="outlined" onClick={() => setOpen(true)}>
            {t('ui-sweeps.change-channels')}
          </Button>
          <Button
            variant="outlined"
            disabled={isBusy}
            onClick={() => void revise.say({ withdrawn: !withdrawn })}
          >
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
