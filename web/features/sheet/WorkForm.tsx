import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { changesReadings, WORK_IDS, workSaid, type WorkId } from '@lettura/core/record/workDone';
import type { Message } from '@lettura/core/measure/message';
import { useState } from 'react';
import { useStored } from '../../app/useStored.ts';
import { TradeNotes } from '../../ui/TradeNotes.tsx';
import { said, t, upperFirst } from '../../ui/words.ts';
import { type WorkToRecord, draftOf, EMPTY, type Draft, FIELDS, type Field, LETTERS } from './workDraft.ts';

/** What was done to the machine: a line of its record, after which it is read as another one. */
export function WorkForm({
  jobId,
  notes,
  disabled,
  onWork,
}: {
  jobId: string;
  /** For whoever changes the sensor. */
  notes: readonly Message[];
  disabled: boolean;
  onWork: (work: WorkToRecord) => void;
}) {
  const [draft, setDraft, forget] = useStored(draftOf(jobId), EMPTY);
  const [asked, setAsked] = useState(false);
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const record = () => {
    if (draft.work === '') {
      setAsked(true);
      return;
    }
    const filled = FIELDS.filter((field) => draft[field].trim() !== '');
    onWork({
      work: draft.work,
      ...Object.fromEntries(filled.map((field) => [field, draft[field].trim()])),
      text: [said(workSaid(draft.work)), ...filled.map((field) => draft[field].trim())].join(', '),
    });
    forget();
    setAsked(false);
  };
  const field = (name: Field) => (
    <TextField
      key={name}
      label={t(`ui-sheet.work-${name}`)}
      value={draft[name]}
      disabled={disabled}
      multiline={name === 'note'}
      onChange={({ target }) => change({ [name]: target.value })}
      slotProps={{ htmlInput: { maxLength: LETTERS[name] } }}
    />
  );
  const missing = asked && draft.work === '';
  return (
    <Box component="section" aria-label={t('ui-sheet.record-work')} sx={{ maxWidth: 720 }}>
      <Typography variant="h2">{t('ui-sheet.record-work')}</Typography>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {t('ui-sheet.work-begins-anew')}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' } }}>
        <TextField
          select
          label={t('ui-sheet.work-what')}
          value={draft.work}
          disabled={disabled}
          error={missing}
          helperText={
            missing
              ? t('ui-sheet.work-choose')
              : draft.work !== '' && !changesReadings(draft.work)
                ? t('ui-sheet.work-changes-nothing')
                : ''
          }
          onChange={({ target }) => change({ work: target.value as WorkId })}
        >
          {WORK_IDS.map((id) => (
            <MenuItem key={id} value={id} sx={{ minHeight: 48 }}>
              {upperFirst(said(workSaid(id)))}
            </MenuItem>
          ))}
        </TextField>
        {FIELDS.map(field)}
      </Box>
      {draft.work === 'sensor-replaced' && <TradeNotes notes={notes} />}
      <Button variant="contained" disabled={disabled} onClick={record} sx={{ mt: 1.5, minHeight: 48 }}>
        {t('ui-sheet.work-record')}
      </Button>
    </Box>
  );
}
