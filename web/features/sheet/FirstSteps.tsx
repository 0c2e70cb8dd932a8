import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { z } from 'zod';
import { stored } from '../../app/stored.ts';
import { useStored } from '../../app/useStored.ts';
import { t } from '../../ui/words.ts';

const known = stored('lettura.first-steps-known', z.boolean(), false);

/** The first readings of whoever is new here; put away once and for all by who knows them. */
export function FirstSteps() {
  const [isKnown, setKnown] = useStored(known, false);
  if (isKnown) return null;
  return (
    <Box
      component="section"
      aria-label={t('ui-sheet.first-readings')}
      sx={{ border: 1, borderColor: 'primary.main', borderRadius: 1, p: 1, mb: 1 }}
    >
      <Typography variant="h3" component="h2">
        {t('ui-sheet.first-readings')}
      </Typography>
      <Typography component="ol" variant="body2" sx={{ m: 0, pl: 2.5 }}>
        <li>{t('ui-sheet.first-go-there')}</li>
        <li>{t('ui-sheet.first-probe')}</li>
        <li>{t('ui-sheet.first-type')}</li>
      </Typography>
      <Button size="small" onClick={() => setKnown(true)} sx={{ minHeight: 48 }}>
        {t('ui-sheet.first-known')}
      </Button>
    </Box>
  );
}
