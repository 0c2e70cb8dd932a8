import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { t } from '../../ui/words.ts';

/** Said as long as anything is tried on. */
export const WhatIfBanner = ({ onClear }: { onClear: () => void }) => (
  <Box
    role="status"
    sx={{
      display: 'flex',
      alignItems: 'center',
      gap: 1,
      borderLeft: 4,
      borderColor: 'warning.main',
      pl: 1,
      mb: 0.5,
    }}
  >
    <Typography sx={{ flex: 1, fontWeight: 600 }}>{t('ui-sheet.if-not-record')}</Typography>
    <Button variant="outlined" onClick={onClear}>
      {t('ui-sheet.back-record')}
    </Button>
  </Box>
);
