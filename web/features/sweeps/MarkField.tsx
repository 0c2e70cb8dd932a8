import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { MOST_MARKS } from '@lettura/contract';
import type { SweepMark } from '@lettura/core/recording/sweep';
import { useState } from 'react';
import { t } from '../../ui/words.ts';
import type { Revise } from './useRevise.ts';

const MOST_LETTERS = 80;

export interface MarkFieldProps {
  atSeconds: number;
  marks: readonly SweepMark[];
  revise: Revise;
}

/** Words for a place of a recording, kept with it as if they had been said while it ran. */
export function MarkField({ atSeconds, marks, revise }: MarkFieldProps) {
  const [words, setWords] = useState('');
  const wanted = words.trim();
  const mark = async () => {
    if (wanted === '' || marks.length >= MOST_MARKS) return;
    const all = [...marks, { atSeconds, words: wanted }].sort((a, b) => a.atSeconds - b.atSeconds);
    if (await revise.say({ marks: all })) setWords('');
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1 }}>
      <TextField
        size="small"
        label={t('ui-sweeps.mark-words')}
        value={words}
        onChange={({ target }) => setWords(target.value)}
        onKeyDown={({ key }) => key === 'Enter' && void mark()}
        slotProps={{ htmlInput: { maxLength: MOST_LETTERS } }}
        sx={{ flex: '1 1 200px' }}
      />
      <Button
        variant="outlined"
        disabled={wanted === '' || revise.isBusy || marks.length >= MOST_MARKS}
        onClick={() => void mark()}
      >
        {t('ui-sweeps.mark-here')}
      </Button>
    </Box>
  );
}
