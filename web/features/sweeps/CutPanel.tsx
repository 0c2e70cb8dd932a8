import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { JobSheet, RecordingInfo } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';
import { useState } from 'react';
import { SaidProblem } from '../../ui/Said.tsx';
import { said, t } from '../../ui/words.ts';
import { fixed, say, verbatim } from '@lettura/core/measure/message';
import { inMs, timeShown } from './timeWords.ts';
import { ambientOf } from './ambientOf.ts';
import { marksWithin } from './marksWithin.ts';
import { useKeepSweep } from './useKeepSweep.ts';
import { useSweepWorker } from './useSweepWorker.ts';
import type { View } from './useView.ts';

export interface CutPanelProps {
  recording: RecordingInfo;
  sheet: JobSheet;
  view: View;
}

const MOST_LETTERS = 120;

/** The stretch in view as a recording of its own, under a name: the whole stays as it is. */
export function CutPanel({ recording, sheet, view }: CutPanelProps) {
  // A worker of its own: what this page shows stays in hand, whatever becomes of the stretch.
  const { ask } = useSweepWorker();
  const keep = useKeepSweep(ask);
  const [name, setName] = useState('');
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  const { fromSeconds, toSeconds } = view;
  const length = toSeconds - fromSeconds;
  const stretch = {
    from: fixed(fromSeconds * (inMs(length) ? 1000 : 1), 2),
    to: timeShown(toSeconds, 2, length),
  };
  const usual = t('ui-sweeps.cut-name', { name: recording.name, ...stretch }).slice(0, MOST_LETTERS);
  const cut = async (): Promise<Problem | undefined> => {
    const fetched = await ask('fetch', { id: recording.id });
    if (!fetched.ok) return fetched.problem;
    const held = await ask('cut', view);
    if (!held.ok) return held.problem;
    const { channels, marks } = recording;
    return keep({
      jobId: recording.jobId,
      name: name.trim() || usual,
      source: recording.source,
      held: { ...held.value, channels: channels.map(({ name: of, unit }) => ({ name: of, unit })) },
      uses: channels.map(({ use }) => use),
      bases: channels.map(({ basis }) => basis),
      context: {
        profile: sheet.sensor.profile,
        companion: sheet.sensor.companion,
        ambientKpaAbs: ambientOf(sheet),
        marks: marksWithin(marks, view),
      },
      takenAt: new Date(Date.parse(recording.takenAt) + 1000 * fromSeconds),
      note: said(say('ui-sweeps.cut-from', { name: verbatim(recording.name), ...stretch })),
    });
  };
  const onCut = async () => {
    setWorking(true);
    setProblem(await cut());
    setWorking(false);
  };
  return (
    <Box component="section" aria-label={t('ui-sweeps.cut')} sx={{ mt: 1 }}>
      <Typography variant="body2" sx={{ mb: 0.75 }}>
        {t('ui-sweeps.cut-what', stretch)}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <TextField
          size="small"
          label={t('ui-sweeps.cut-called')}
          placeholder={usual}
          value={name}
          onChange={({ target }) => setName(target.value)}
          slotProps={{ htmlInput: { maxLength: MOST_LETTERS }, inputLabel: { shrink: true } }}
          sx={{ flex: '1 1 240px' }}
        />
        <Button variant="outlined" disabled={working} onClick={() => void onCut()}>
          {t('ui-sweeps.cut-keep')}
        </Button>
      </Box>
      {problem && (
        <Alert severity="error" sx={{ mt: 1 }}>
          <SaidProblem problem={problem} />
        </Alert>
      )}
    </Box>
  );
}
