import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import { useRef, useState } from 'react';
import { useParams } from 'react-router';
import { z } from 'zod';
import { ownDraft } from '../../app/stored.ts';
import { NUMERALS } from '../../app/theme.ts';
import { useStored } from '../../app/useStored.ts';
import { t } from '../../ui/words.ts';
import { formExample, isHalfAFigure, wholeFigure, type FigureForm } from './figureDigits.ts';

export interface StepFieldProps {
  label: string;
  placeholder: string;
  disabled: boolean;
  inputMode?: 'decimal' | 'text';
  widthPx?: { narrow: number; else: number };
  /** A figure that is whole is recorded at its last digit. */
  form?: FigureForm;
  /** What is being typed, at each key. */
  onType?: (text: string) => void;
  /** Records what was typed; false where it could not be read, and says why elsewhere. */
  onEnter: (text: string) => boolean;
}

const stepDraft = (jobId: string, label: string) =>
  ownDraft(`lettura.step-draft.${jobId}.${label}`, z.string(), '');

/** One field of a table that is filled row by row: Enter goes to the next one, and what was refused stays under the hand. */
export function StepField({
  label,
  placeholder,
  disabled,
  inputMode = 'text',
  widthPx = { narrow: 124, else: 124 },
  form = 'as-typed',
  onType,
  onEnter,
}: StepFieldProps) {
  const { jobId = '' } = useParams();
  // Half a figure, and what was refused, outlive a change of section and a reload.
  const [text, setText, forget] = useStored(stepDraft(jobId, label), '');
  const [isHalf, setIsHalf] = useState(false);
  // Going to the next field leaves this one before it is drawn anew: what is recorded already is not recorded again.
  const typed = useRef(text);
  const change = (to: string) => {
    typed.current = to;
    if (to === '') forget();
    else setText(to);
    setIsHalf(false);
    onType?.(to);
  };
  const save = (): boolean => {
    if (typed.current.trim() === '') return true;
    if (isHalfAFigure(typed.current, form)) {
      setIsHalf(true);
      return false;
    }
    const saved = onEnter(typed.current);
    if (saved) change('');
    return saved;
  };
  const half = isHalf && form !== 'as-typed' ? t('ui-sheet.half-a-figure', formExample(form)) : undefined;
  const field = (
    <InputBase
      value={text}
      disabled={disabled}
      error={half !== undefined}
      onChange={({ target }) => {
        const whole = wholeFigure(target.value, form);
        change(whole ?? target.value);
        if (whole !== undefined && save()) nextFieldAfter(target)?.focus();
      }}
      onKeyDown={({ key, target }) => {
        // Where figures are taken at their last digit, an Enter out of habit must not pass over a row.
        if (key !== 'Enter' || (form !== 'as-typed' && typed.current.trim() === '')) return;
        if (save()) nextFieldAfter(target)?.focus();
      }}
      onBlur={save}
      placeholder={placeholder}
      inputProps={{ 'aria-label': label, inputMode, enterKeyHint: 'next', maxLength: 60 }}
      sx={{
        width: { xs: widthPx.narrow, md: widthPx.else },
        minHeight: 48,
        px: 1,
        border: 1,
        borderColor: 'sheet.rule',
        borderRadius: 1,
        bgcolor: 'sheet.inset',
        fontFamily: NUMERALS,
        '& input': { height: 46, boxSizing: 'border-box' },
      }}
    />
  );
  return (
    <Box>
      {field}
      {half !== undefined && (
        <Box role="alert" sx={{ color: 'error.main', fontSize: '0.875rem', maxWidth: 200 }}>
          {half}
        </Box>
      )}
    </Box>
  );
}

/** The next field of the same table or list; after the last one the hand stays where it is. */
function nextFieldAfter(field: EventTarget): HTMLInputElement | undefined {
  if (!(field instanceof HTMLInputElement)) return undefined;
  const all = [...(field.closest('table, ul')?.querySelectorAll('input') ?? [])];
  return all[all.indexOf(field) + 1];
}
