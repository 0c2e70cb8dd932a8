import { type Fit } from '@lettura/core/judge/expectation';
import { t } from './words.ts';

export const FIT_SIGNS: Record<Fit, string> = {
  'as-expected': '✓',
  'at-the-edge': '≈',
  'beside-the-rule': '≈',
  below: '▼',
  above: '▲',
};
export const FIT_WORDS: Record<Fit, string> = {
  'as-expected': t('ui.as-expected'),
  'at-the-edge': t('ui.edge-expected-within-meter-can'),
  'beside-the-rule': t('ui.beside-rule-of-thumb'),
  below: t('ui.below-expected'),
  above: t('ui.above-expected'),
};
export const fitInWords = (fit: Fit): string => `${FIT_SIGNS[fit]} ${FIT_WORDS[fit]}`;
