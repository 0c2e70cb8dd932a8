import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Result } from '@lettura/core/measure/problem';
import type { ReactNode } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';

interface NumberFieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** Shown at the field while what stands there cannot be read. */
  read: Result<unknown>;
}

export function NumberField({ label, value, onChange, read }: NumberFieldProps) {
  return (
    <TextField
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={!read.ok}
      helperText={read.ok ? ' ' : said(problemSaid(read.problem))}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 20 } }}
    />
  );
}

interface ChoiceFieldProps<T extends string> {
  label: string;
  value: string;
  options: readonly (T | { value: T; label: string })[];
  onChange: (value: T) => void;
}

export function ChoiceField<T extends string>({ label, value, options, onChange }: ChoiceFieldProps<T>) {
  const all = options.map((option) =>
    typeof option === 'string' ? { value: option, label: option } : option,
  );
  // An address may carry anything: what is no option is shown as none chosen, never as a broken control.
  const known = all.some((option) => option.value === value);
  return (
    <TextField
      select
      label={label}
      value={known ? value : ''}
      onChange={(event) => onChange(event.target.value as T)}
      helperText=" "
    >
      {all.map((option) => (
        <MenuItem key={option.value} value={option.value}>
          {option.label}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** What an address says, if it is one of the options; else the first. */
export const chosen = <T extends string>(value: string, options: readonly T[]): T =>
  options.find((option) => option === value) ?? (options[0] as T);

export interface Outcome {
  label: string;
  value: string;
  note?: string;
}

/** Fields on the left, the answer on the right; a calculator that lacks a number shows no answer rather than a wrong one. */
export function Calculator({
  title,
  fields,
  outcomes,
  about,
}: {
  title: string;
  fields: ReactNode;
  outcomes: Outcome[];
  about: string;
}) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'minmax(240px, 320px) 1fr' }, gap: 3 }}>
      <Box role="group" aria-label={title} sx={{ display: 'grid', gap: 0.5, alignContent: 'start' }}>
        {fields}
      </Box>
      <Box role="group" aria-label={t('ui-reference.answer')}>
        <Box component="dl" sx={{ m: 0 }}>
          {outcomes.map(({ label, value, note }) => (
            <Box key={label} sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
              <Typography component="dt" variant="body2">
                {label}
              </Typography>
              <Box component="dd" sx={{ m: 0, fontFamily: NUMERALS, fontSize: '1.5rem', fontWeight: 650 }}>
                {value}
              </Box>
              {note && (
                <Typography component="dd" variant="body2" sx={{ m: 0 }}>
                  {note}
                </Typography>
              )}
            </Box>
          ))}
        </Box>
        {outcomes.length === 0 && (
          <Typography>{t('ui-reference.answer-appears-when-every-field')}</Typography>
        )}
        <Typography variant="body2" sx={{ mt: 2, color: 'text.secondary' }}>
          {about}
        </Typography>
      </Box>
    </Box>
  );
}
