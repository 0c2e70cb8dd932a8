import InputBase from '@mui/material/InputBase';
import { useRef, useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';

export interface StepFieldProps {
  label: string;
  placeholder: string;
  disabled: boolean;
  inputMode?: 'decimal' | 'text';
  widthPx?: { phone: number; else: number };
  /** What is being typed, at each key. */
  onType?: (text: string) => void;
  /** Records what was typed; false where it could not be read, and says why elsewhere. */
  onEnter: (text: string) => boolean;
}

/** One field of a table that is filled row by row: Enter goes to the next one, and what was refused stays under the hand. */
export function StepField({
  label,
  placeholder,
  disabled,
  inputMode = 'text',
  widthPx = { phone: 124, else: 124 },
  onType,
  onEnter,
}: StepFieldProps) {
  const [text, setText] = useState('');
  // Going to the next field leaves this one before it is drawn anew: what is recorded already is not recorded again.
  const typed = useRef('');
  const change = (to: string) => {
    typed.current = to;
    setText(to);
    onType?.(to);
  };
  const save = (): boolean => {
    if (typed.current.trim() === '') return true;
    const saved = onEnter(typed.current);
    if (saved) change('');
    return saved;
  };
  return (
    <InputBase
      value={text}
      disabled={disabled}
      onChange={({ target }) => change(target.value)}
      onKeyDown={({ key, target }) => {
        if (key === 'Enter' && save()) nextFieldAfter(target)?.focus();
      }}
      onBlur={save}
      placeholder={placeholder}
      inputProps={{ 'aria-label': label, inputMode, enterKeyHint: 'next', maxLength: 60 }}
      sx={{
        width: { xs: widthPx.phone, sm: widthPx.else },
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
}

/** The next field of the same table or list; after the last one the hand stays where it is. */
function nextFieldAfter(field: EventTarget): HTMLInputElement | undefined {
  if (!(field instanceof HTMLInputElement)) return undefined;
  const all = [...(field.closest('table, ul')?.querySelectorAll('input') ?? [])];
  return all[all.indexOf(field) + 1];
}
