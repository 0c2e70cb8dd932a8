import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Reading } from '@lettura/contract';
import { useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { FIT_SIGNS, FIT_WORDS } from '../../ui/fit.ts';
import { t } from '../../ui/words.ts';
import type { RecordLine } from './recordLines.ts';

export interface RecordListProps {
  lines: readonly RecordLine[];
  onTakeBack?: (reading: Reading) => void;
  onCorrect?: (reading: Reading) => void;
}

/** One line a reading: when, where, what and in which state, and how it fits; each opens to the rest. */
export function RecordList({ lines, ...actions }: RecordListProps) {
  if (lines.length === 0) return <Typography>{t('ui-sheet.nothing-been-read-yet')}</Typography>;
  return (
    <Box
      component="ul"
      aria-label={t('ui-sheet.all-readings-newest-first')}
      sx={{ listStyle: 'none', p: 0, m: 0 }}
    >
      {lines.map((line) => (
        <OneLine key={line.reading.id} line={line} {...actions} />
      ))}
    </Box>
  );
}

function OneLine({ line, onTakeBack, onCorrect }: Omit<RecordListProps, 'lines'> & { line: RecordLine }) {
  const [open, setOpen] = useState(false);
  const { reading, counts, when, where, value, fit, conditions, takers, entered } = line;
  return (
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <Box
        component="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{
          // A laptop has room for one line, what is held in a hand for two.
          display: 'grid',
          gridTemplateColumns: { xs: '1fr auto 20px', md: '112px minmax(0, 1fr) 190px minmax(0, 1fr) 20px' },
          gridTemplateAreas: {
            xs: '"where value fit" "when conditions fit"',
            md: '"when where value conditions fit"',
          },
          columnGap: { xs: 1, md: 2 },
          alignItems: 'baseline',
          width: '100%',
          minHeight: { xs: 48, md: 36 },
          px: 0.5,
          py: { xs: 0.75, md: 0.5 },
          border: 0,
          bgcolor: 'transparent',
          color: 'text.primary',
          font: 'inherit',
          textAlign: 'left',
          cursor: 'pointer',
          textDecoration: counts ? 'none' : 'line-through',
          '&:hover': { bgcolor: 'action.hover' },
        }}
      >
        <Box component="span" sx={{ gridArea: 'when', fontSize: '0.9rem', whiteSpace: 'nowrap' }}>
          {when}
        </Box>
        <Box
          component="span"
          sx={{ gridArea: 'where', fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis' }}
        >
          {where}
        </Box>
        <Box
          component="span"
          sx={{ gridArea: 'value', fontFamily: NUMERALS, fontWeight: 650, textAlign: 'right' }}
        >
          {value}
        </Box>
        <Box
          component="span"
          sx={{ gridArea: 'conditions', fontSize: '0.9rem', textAlign: { xs: 'right', md: 'left' } }}
        >
          {conditions}
        </Box>
        <Box
          component="span"
          sx={{
            gridArea: 'fit',
            alignSelf: 'center',
            fontWeight: 700,
            color: fit === 'as-expected' ? 'standing.proven' : 'standing.faulty',
          }}
        >
          {fit && (
            <span role="img" aria-label={FIT_WORDS[fit]}>
              {FIT_SIGNS[fit]}
            </span>
          )}
        </Box>
      </Box>
      {open && (
        <Box
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', px: 0.5, pb: 0.75 }}
          role="group"
          aria-label={`${where} ${value}`}
        >
          <Typography variant="body2" sx={{ flex: 1, minWidth: 180, overflowWrap: 'anywhere' }}>
            {[
              counts ? '' : t('ui-sheet.no-longer-counts'),
              t('ui-sheet.entered-as', { entered }),
              ...takers.map((name) => t('ui-sheet.with', { name })),
            ]
              .filter((part) => part !== '')
              .join(' · ')}
          </Typography>
          {counts && onCorrect && reading.kind !== 'engine-flow' && (
            <Button
              size="small"
              color="inherit"
              aria-label={t('ui-sheet.correct-2', { value })}
              onClick={() => onCorrect(reading)}
              sx={{ minHeight: { xs: 48, md: 36 } }}
            >
              {t('ui-sheet.correct-3')}
            </Button>
          )}
          {counts && onTakeBack && (
            <Button
              size="small"
              color="inherit"
              aria-label={t('ui-sheet.take-back-3', { place: where, value })}
              onClick={() => onTakeBack(reading)}
              sx={{ minHeight: { xs: 48, md: 36 } }}
            >
              {t('ui-sheet.take-back-2')}
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}
