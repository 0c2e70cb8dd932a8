import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { NUMERALS } from '../../app/theme.ts';
import type { Target } from '@lettura/core/machine/places';
import { memo } from 'react';
import { type Fit } from '@lettura/core/judge/expectation';
import { FIT_SIGNS } from '../../ui/fit.ts';
import { t } from '../../ui/words.ts';

export interface ProbePadProps {
  target: Target;
  /** For whoever hears the sheet rather than sees it. */
  label: string;
  /** Small word above the value, where the column does not say it. */
  caption?: string;
  value?: string | undefined;
  fit?: Fit | undefined;
  /** What to expect, shown while there is no value. */
  expected?: string | undefined;
  /** A value from another state of the machine, kept in sight. */
  elsewhere?: string | undefined;
  unsent?: boolean;
  heightPx?: number;
  /** One line: the value, or in small what to expect. */
  compact?: boolean;
  selected: boolean;
  onSelect?: ((target: Target) => void) | undefined;
}

const MARK_COLOUR = {
  'as-expected': 'standing.proven',
  'at-the-edge': 'standing.suspect',
  'beside-the-rule': 'standing.suspect',
  below: 'standing.faulty',
  above: 'standing.faulty',
} as const;

/** A point that can be probed: what it reads, or what it should read. */
export const ProbePad = memo(function ProbePad(props: ProbePadProps) {
  const {
    target,
    label,
    caption,
    value,
    fit,
    expected,
    elsewhere,
    unsent = false,
    selected,
    onSelect,
  } = props;
  const { heightPx = 54, compact = false } = props;
  return (
    <ButtonBase
      aria-label={label}
      // For what is drawn over the pads.
      data-point={target.kind === 'wire' ? `${target.lane}:${target.place}` : undefined}
      aria-pressed={onSelect ? selected : undefined}
      disabled={!onSelect}
      onClick={onSelect && (() => onSelect(target))}
      sx={{
        display: 'flex',
        flexDirection: 'column',
        justifyContent: 'center',
        minHeight: heightPx,
        px: compact ? 0.25 : 0.75,
        py: compact ? 0 : 0.5,
        minWidth: 0,
        overflow: 'hidden',
        borderRadius: 1,
        border: 1,
        borderColor: selected ? 'text.primary' : 'sheet.rule',
        borderStyle: value ? 'solid' : 'dashed',
        boxShadow: selected ? (theme) => `0 0 0 2px ${theme.palette.text.primary}` : 'none',
        bgcolor: value ? 'background.paper' : 'sheet.inset',
        color: 'text.primary',
        textAlign: 'center',
        lineHeight: 1.15,
      }}
    >
      {caption && <Small>{caption}</Small>}
      {value ? (
        <Box
          component="span"
          sx={{
            fontFamily: NUMERALS,
            fontSize: value.length > (compact ? 5 : 9) ? '0.95rem' : '1.15rem',
            fontWeight: 650,
            whiteSpace: 'nowrap',
          }}
        >
          {value}
          {fit && (
            <Box component="span" sx={{ color: MARK_COLOUR[fit], fontSize: '0.9rem', ml: 0.5 }}>
              {FIT_SIGNS[fit]}
            </Box>
          )}
        </Box>
      ) : (
        <Small>{compact ? (expected ?? '–') : unread(expected, elsewhere)}</Small>
      )}
      {unsent && <Small>{t('ui-sheet.waiting-sent')}</Small>}
      {elsewhere && !compact && <Small>{elsewhere}</Small>}
    </ButtonBase>
  );
});

const unread = (expected: string | undefined, elsewhere: string | undefined): string =>
  expected ? t('ui-sheet.expect', { expected }) : elsewhere ? '' : t('ui-sheet.not-read-yet');

function Small({ children }: { children: string }) {
  return (
    <Box component="span" sx={{ fontSize: '0.78rem', color: 'text.secondary' }}>
      {children}
    </Box>
  );
}
