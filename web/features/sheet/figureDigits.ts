import { useState } from 'react';
import { z } from 'zod';
import { stored } from '../../app/stored.ts';

/** How the figures of a table are typed: as they stand, or their digits alone, by how many the meter shows after its point. */
export const FIGURE_FORMS = ['as-typed', '2', '3'] as const;
export type FigureForm = (typeof FIGURE_FORMS)[number];

const kept = stored('lettura.figure-digits', z.enum(FIGURE_FORMS), 'as-typed');

/** What was chosen last: a meter shows as many digits in the next job. */
export function useFigureForm(): [FigureForm, (form: FigureForm) => void] {
  const [form, setForm] = useState(kept.load);
  const choose = (to: FigureForm) => {
    kept.save(to);
    setForm(to);
  };
  return [form, choose];
}

/** How a form shows one figure: its digits as they are typed, and as they are taken. */
export const formExample = (form: Exclude<FigureForm, 'as-typed'>): { digits: string; taken: string } =>
  form === '2' ? { digits: '123', taken: '1.23' } : { digits: '1234', taken: '1.234' };

/**
 * A figure of which nothing is missing, with its point where it was left out.
 *
 * @returns undefined while it is still being typed, and where it is no figure of that form
 */
export function wholeFigure(text: string, form: FigureForm): string | undefined {
  if (form === 'as-typed') return undefined;
  const decimals = Number(form);
  const digits = text.trim();
  if (/^\d+$/u.test(digits))
    return digits.length === decimals + 1 ? `${digits.slice(0, 1)}.${digits.slice(1)}` : undefined;
  return new RegExp(`^\\d[.,]\\d{${decimals}}$`, 'u').test(digits) ? digits : undefined;
}

/** Digits alone, of which some are missing or too many: nobody knows where their point is. */
export const isHalfAFigure = (text: string, form: FigureForm): boolean =>
  form !== 'as-typed' && /^\d+$/u.test(text.trim()) && wholeFigure(text, form) === undefined;
