import Box from '@mui/material/Box';
import { NUMERALS } from '../../app/theme.ts';
import { t } from '../../ui/words.ts';

/** The display of a simulated instrument. */
export function Digits({ name, digits, unit }: { name: string; digits: string; unit: string }) {
  return (
    <Box
      role="img"
      aria-label={t('ui-bench.shows', { name, digits, unit }).trim()}
      sx={{ fontFamily: NUMERALS, textAlign: 'right', my: 0.25, whiteSpace: 'nowrap' }}
    >
      <Box component="span" sx={{ fontSize: '2.3rem', fontWeight: 650 }}>
        {digits}
      </Box>{' '}
      <Box component="span" sx={{ fontSize: '0.95rem' }}>
        {unit}
      </Box>
    </Box>
  );
}
