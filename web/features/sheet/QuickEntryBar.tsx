import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import type { Problem } from '@lettura/core/measure/problem';
import type { ReactNode, RefObject } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { useDraft } from './useInHand.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface QuickEntryBarProps {
  jobId: string;
  place: string;
  example: string;
  problem: Problem | undefined;
  correcting: boolean;
  disabled: boolean;
  /** Keys for a thumb, where they are kept with the line. */
  keypad?: ReactNode;
  inputRef: RefObject<HTMLInputElement | null>;
  onDraft: (draft: string) => void;
  onSave: (draft: string) => void;
}

/** One line that is always within reach: a bare number goes to the point in hand, words say anything else. */
export function QuickEntryBar(props: QuickEntryBarProps) {
  const { jobId, place, example, problem, correcting, disabled, keypad, inputRef, onDraft, onSave } = props;
  const draft = useDraft(jobId);
  return (
    <Box
      component="form"
      aria-label={t('ui-sheet.quick-entry')}
      onSubmit={(event) => {
        event.preventDefault();
        onSave(draft);
      }}
      sx={{
        borderTop: 2,
        borderColor: 'text.primary',
        bgcolor: 'background.paper',
        px: { xs: 1, sm: 2 },
        py: 0.75,
      }}
    >
      {problem && (
        <Typography id="entry-problem" role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>
          <SaidProblem problem={problem} />
        </Typography>
      )}
      {/* On a phone the point stands above the line, which needs the width. */}
      <Box
        sx={{
          display: 'flex',
          flexWrap: { xs: 'wrap', sm: 'nowrap' },
          columnGap: { xs: 1, sm: 1.5 },
          alignItems: 'center',
        }}
      >
        <Typography
          component="label"
          htmlFor="quick-entry"
          sx={{
            fontWeight: 700,
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            width: { xs: '100%', sm: 'auto' },
            lineHeight: 1.3,
          }}
        >
          {correcting ? t('ui-sheet.correct') : ''}
          {place} ▸
        </Typography>
        <InputBase
          id="quick-entry"
          inputRef={inputRef}
          value={draft}
          disabled={disabled}
          placeholder={example}
          autoComplete="off"
          onChange={(event) => onDraft(event.target.value)}
          inputProps={{
            'aria-invalid': problem !== undefined,
            'aria-describedby': problem ? 'entry-problem' : undefined,
            spellCheck: false,
            maxLength: 200,
          }}
          sx={{
            flex: 1,
            minHeight: 48,
            px: 1.5,
            border: 1,
            borderColor: problem ? 'error.main' : 'sheet.rule',
            borderRadius: 1,
            bgcolor: 'sheet.inset',
            fontFamily: NUMERALS,
            fontSize: '1.2rem',
            '& input': { height: 48, boxSizing: 'border-box' },
            '& input::placeholder': { color: 'text.secondary', opacity: 1 },
          }}
        />
        <Button type="submit" variant="contained" disabled={disabled} sx={{ minWidth: 96, minHeight: 48 }}>
          {t('ui-sheet.save')}
        </Button>
      </Box>
      {keypad}
    </Box>
  );
}
