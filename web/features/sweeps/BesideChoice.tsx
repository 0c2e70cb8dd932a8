import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { RecordingInfo } from '@lettura/contract';
import { useState } from 'react';
import { dayAndTime } from '../../ui/when.ts';
import { numberIn } from '../../ui/numberIn.ts';
import { t } from '../../ui/words.ts';

/** Another recording set beside this one. */
export interface Beside {
  /** Empty for none. */
  id: string;
  /** So much later than here the same begins there, in seconds. */
  laterSeconds: number;
  /** Whether this one less the other is drawn, rather than both. */
  isDifference: boolean;
}
export const NOTHING_BESIDE: Beside = { id: '', laterSeconds: 0, isDifference: false };

export interface BesideChoiceProps {
  recording: Pick<RecordingInfo, 'id' | 'channels'>;
  recordings: readonly RecordingInfo[];
  beside: Beside;
  onChange: (beside: Beside) => void;
}

/** Another recording of the job to set beside this one: before a repair, beside after. */
export function BesideChoice({ recording, recordings, beside, onChange }: BesideChoiceProps) {
  const [later, setLater] = useState('');
  const alike = recordings.filter(
    ({ id, channels }) => id !== recording.id && channels.length === recording.channels.length,
  );
  if (alike.length === 0) return null;
  const isUnreadable = later.trim() !== '' && Number.isNaN(numberIn(later));
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start', my: 1 }}>
      <TextField
        select
        size="small"
        label={t('ui-sweeps.beside-drawn-broad')}
        value={beside.id}
        onChange={(event) => onChange({ ...beside, id: event.target.value })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={{ minWidth: 300 }}
      >
        <MenuItem value="">{t('ui-sweeps.nothing')}</MenuItem>
        {alike.map(({ id, name, takenAt }) => (
          <MenuItem key={id} value={id}>
            {name}, {dayAndTime(takenAt)}
          </MenuItem>
        ))}
      </TextField>
      {beside.id !== '' && (
        <>
          <TextField
            size="small"
            label={t('ui-sweeps.beside-later')}
            value={later}
            placeholder="0"
            error={isUnreadable}
            helperText={isUnreadable ? t('ui-sweeps.beside-later-number') : undefined}
            onChange={({ target }) => {
              setLater(target.value);
              const seconds = target.value.trim() === '' ? 0 : numberIn(target.value);
              if (!Number.isNaN(seconds)) onChange({ ...beside, laterSeconds: seconds });
            }}
            slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 12 }, inputLabel: { shrink: true } }}
            sx={{ width: 190 }}
          />
          <Button
            variant={beside.isDifference ? 'contained' : 'outlined'}
            aria-pressed={beside.isDifference}
            onClick={() => onChange({ ...beside, isDifference: !beside.isDifference })}
          >
            {t('ui-sweeps.draw-difference')}
          </Button>
        </>
      )}
    </Box>
  );
}
