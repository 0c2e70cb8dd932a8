import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { Problem } from '@lettura/core/measure/problem';
import { useState } from 'react';
import { said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';

export interface BetweenFieldProps {
  label: string;
  /** For whoever hears it, where the label is short. */
  name?: string;
  placeholder: string;
  /** Records the text; what is refused comes back with what to do. */
  onEnter: (text: string) => Problem | undefined;
}

/** One value as typed; refused text stays, with what is wrong with it. */
export function BetweenField({ label, name = label, placeholder, onEnter }: BetweenFieldProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<Problem>();
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const refused = onEnter(text);
        setProblem(refused);
        if (!refused) setText('');
      }}
      sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-start' }}
    >
      <TextField
        size="small"
        label={label}
        value={text}
        placeholder={placeholder}
        onChange={(event) => {
          setText(event.target.value);
          setProblem(undefined);
        }}
        error={problem !== undefined}
        helperText={problem && said(problemSaid(problem))}
        slotProps={{ htmlInput: { autoComplete: 'off', 'aria-label': name }, inputLabel: { shrink: true } }}
        sx={{ flex: '0 1 190px', minWidth: 0 }}
      />
      <Button
        type="submit"
        variant="outlined"
        disabled={text.trim() === ''}
        aria-label={t('ui-isolate.save', { name })}
      >
        {t('ui-isolate.save-2')}
      </Button>
    </Box>
  );
}
