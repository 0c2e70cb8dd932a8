import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Done } from './useEntry.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** What was just recorded, any second thought about it, and the way back. Stays until the next entry. */
export function DoneBar({ done, onClose }: { done: Done; onClose: () => void }) {
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
        {done.message}
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
      <Button color="inherit" onClick={onClose}>
        {t('ui-sheet.close')}
      </Button>
    </Box>
  );
}
