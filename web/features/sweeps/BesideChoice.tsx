import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { RecordingInfo } from '@lettura/contract';
import { dayAndTime } from '../../ui/when.ts';
import { t } from '../../ui/words.ts';

export interface BesideChoiceProps {
  recording: Pick<RecordingInfo, 'id' | 'channels'>;
  recordings: readonly RecordingInfo[];
  value: string;
  onChange: (id: string) => void;
}

/** Another recording of the job to set beside this one: before a repair, beside after. */
export function BesideChoice({ recording, recordings, value, onChange }: BesideChoiceProps) {
  const alike = recordings.filter(
    ({ id, channels }) => id !== recording.id && channels.length === recording.channels.length,
  );
  if (alike.length === 0) return null;
  return (
    <TextField
      select
      size="small"
      label={t('ui-sweeps.beside-drawn-broad')}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      sx={{ minWidth: 300, mt: 1 }}
    >
      <MenuItem value="">{t('ui-sweeps.nothing')}</MenuItem>
      {alike.map(({ id, name, takenAt }) => (
        <MenuItem key={id} value={id}>
          {name}, {dayAndTime(takenAt)}
        </MenuItem>
      ))}
    </TextField>
  );
}
