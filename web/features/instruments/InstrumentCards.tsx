import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { t } from '../../ui/words.ts';
import { Calibrated } from './Calibrated.tsx';
import type { InstrumentListProps } from './InstrumentTable.tsx';
import { accuracyInWords, limitsInWords, rangeInWords, SORT_WORDS } from './instrumentWords.ts';

/** The instruments on a phone: what a row says, one below the other. */
export function InstrumentCards({ instruments, unit, today, onOpen }: InstrumentListProps) {
  return (
    <Box component="ul" aria-label={t('ui-instruments.instruments')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {instruments.map((one) => (
        <Box
          component="li"
          key={one.id}
          sx={{
            borderTop: 1,
            borderColor: 'sheet.rule',
            py: 1.25,
            overflowWrap: 'anywhere',
            opacity: one.retired ? 0.75 : 1,
          }}
        >
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'start' }}>
            <Box sx={{ flex: 1 }}>
              <Box sx={{ fontWeight: 650 }}>{one.name}</Box>
              {SORT_WORDS[one.sort]}
              {one.retired ? t('ui-instruments.no-longer-use-2') : ''} · {rangeInWords(one, unit)}
            </Box>
            <Button
              color="inherit"
              variant="outlined"
              aria-label={t('ui-instruments.change', { name: one.name })}
              onClick={() => onOpen(one)}
              sx={{ minHeight: 48 }}
            >
              {t('ui-instruments.change-2')}
            </Button>
          </Box>
          <Typography variant="body2">
            {accuracyInWords(one, unit)}; {limitsInWords(one, unit)}
          </Typography>
          <Box sx={{ display: 'flex', gap: 0.75 }}>
            {t('ui-instruments.calibration')}: <Calibrated {...{ one, today }} />
          </Box>
          {one.notes && <Typography variant="body2">{one.notes}</Typography>}
        </Box>
      ))}
    </Box>
  );
}
