import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Message } from '@lettura/core/measure/message';
import { Said } from './Said.tsx';
import { t } from './words.ts';

/** Rules of thumb of the trade where they matter; the maker's data overrules them. */
export function TradeNotes({ notes }: { notes: readonly Message[] }) {
  if (notes.length === 0) return null;
  return (
    <Box component="section" aria-label={t('ui.trade-notes')} sx={{ my: 1 }}>
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {t('ui.trade-notes')}
      </Typography>
      <Box component="ul" sx={{ pl: 2.25, my: 0 }}>
        {notes.map((note) => (
          <Typography component="li" variant="body2" key={note.code}>
            <Said message={note} />
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
