import Box from '@mui/material/Box';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { Said } from './Said.tsx';
import { type Message } from '@lettura/core/measure/message';
import { t } from './words.ts';

/** While something loads, and where it did not. */
export function Loading({ what }: { what: string }) {
  return (
    <Box
      role="status"
      sx={{ display: 'flex', gap: 2, alignItems: 'center', justifyContent: 'center', px: 2, py: 6 }}
    >
      <CircularProgress size={28} aria-hidden="true" />
      <Typography>{t('ui.loading', { what })}</Typography>
    </Box>
  );
}

export function Trouble({
  message,
  next,
  children,
}: {
  message: Message;
  next: Message;
  children?: React.ReactNode;
}) {
  return (
    <Box role="alert" sx={{ p: 6, textAlign: 'center' }}>
      <Typography variant="h2">
        <Said message={message} />
      </Typography>
      <Typography sx={{ mb: 2 }}>
        <Said message={next} />
      </Typography>
      {children}
    </Box>
  );
}
