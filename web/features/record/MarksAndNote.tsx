import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { SweepMark } from '@lettura/core/recording/sweep';
import { t } from '../../ui/words.ts';

export interface MarksAndNoteProps {
  marks: readonly SweepMark[];
  note: string;
  onNote: (note: string) => void;
}

const MOST_NOTE_LETTERS = 1000;

/** What was marked so far, and what should be remembered with the recording. */
export function MarksAndNote({ marks, note, onNote }: MarksAndNoteProps) {
  return (
    <Box>
      <TextField
        size="small"
        fullWidth
        multiline
        maxRows={4}
        label={t('ui-record.note-kept-recording')}
        value={note}
        onChange={(event) => onNote(event.target.value)}
        slotProps={{ htmlInput: { maxLength: MOST_NOTE_LETTERS } }}
      />
      {marks.length > 0 && (
        <Box component="ol" aria-label={t('ui-record.marks')} sx={{ pl: 3, my: 0.5 }}>
          {marks.map(({ atSeconds, words }) => (
            <li key={`${atSeconds} ${words}`}>
              <Typography variant="body2">
                {atSeconds.toFixed(1)} s: {words}
              </Typography>
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}
