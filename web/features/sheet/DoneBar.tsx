import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import type { LastDone } from './lastDone.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** A long entry stands in full in the record: here it only says that it went there, and leaves the hand its room. */
const TWO_LINES = {
  display: '-webkit-box',
  WebkitLineClamp: 2,
  WebkitBoxOrient: 'vertical',
  overflow: 'hidden',
} as const;

/** What was just recorded, any second thought about it, and the way back. Stays until the next entry. */
export function DoneBar({ last }: { last: LastDone }) {
  const done = useSyncExternalStore(last.subscribe, last.now);
  if (!done) return null;
  return (
    <Box
      role="status"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        px: 2,
        bgcolor: 'text.primary',
        color: 'background.paper',
      }}
    >
      <Typography sx={{ flex: 1 }}>
        <Box component="span" title={done.message} sx={TWO_LINES}>
          {done.message}
        </Box>
        {done.warnings.map(({ code, message }) => (
          <Box component="span" key={code} sx={{ display: 'block', fontWeight: 700 }}>
            ⚠ <Said message={message} />
          </Box>
        ))}
      </Typography>
      {done.undo && (
        <Button color="inherit" onClick={done.undo.run} aria-keyshortcuts="Alt+Z" title={t('ui-sheet.alt-z')}>
          {done.undo.label}
        </Button>
      )}
      <Button color="inherit" onClick={() => last.set(undefined)}>
        {t('ui-sheet.close')}
      </Button>
    </Box>
  );
}
