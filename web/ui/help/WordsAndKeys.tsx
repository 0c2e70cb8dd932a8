import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useScreen } from '../useScreen.ts';
import { t } from '../words.ts';
import { Explained } from './Term.tsx';
import { SHORTCUTS, TERM_IDS } from './terms.ts';

/** All words of the trade with their drawings, and all keys. */
export default function WordsAndKeys({ isWanted, onClose }: { isWanted: boolean; onClose: () => void }) {
  const isPhone = useScreen() === 'phone';
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const found = TERM_IDS.filter((id) =>
    `${t(`help.${id}.name`)} ${t(`help.${id}.means`)}`.toLowerCase().includes(wanted),
  );
  return (
    <Dialog
      open={isWanted}
      onClose={onClose}
      maxWidth="md"
      fullWidth
      fullScreen={isPhone}
      aria-labelledby="help-title"
    >
      <DialogTitle id="help-title">{t('help.title')}</DialogTitle>
      <DialogContent tabIndex={0}>
        <Typography variant="h2" component="h3">
          {t('help.keys')}
        </Typography>
        <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', gap: 1, mt: 0.5 }}>
          {SHORTCUTS.map(({ keys, does }) => (
            <Box key={keys} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {keys}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {t(does)}
              </Box>
            </Box>
          ))}
        </Box>
        <Typography variant="h2" component="h3" sx={{ mb: 1 }}>
          {t('help.words')}
        </Typography>
        <TextField
          fullWidth
          size="small"
          type="search"
          label={t('help.search')}
          value={search}
          onChange={({ target }) => setSearch(target.value)}
        />
        <Box
          component="ul"
          aria-label={t('help.words')}
          sx={{
            listStyle: 'none',
            p: 0,
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', md: '1fr 1fr 1fr' },
          }}
        >
          {found.map((id) => (
            <li key={id}>
              <Explained id={id} />
            </li>
          ))}
        </Box>
        {found.length === 0 && <Typography>{t('help.no-such-word')}</Typography>}
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose} sx={{ minHeight: 48 }}>
          {t('help.close')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
