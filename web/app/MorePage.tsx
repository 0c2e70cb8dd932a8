import Stack from '@mui/material/Stack';
import type { ReactNode } from 'react';
import { PopUp } from '../ui/PopUp.tsx';
import { t } from '../ui/words.ts';

interface MorePageProps {
  isWanted: boolean;
  anchor: HTMLElement | undefined;
  onClose: () => void;
  children: ReactNode;
}

/** What finds no room beside the title, one below the other. */
export default function MorePage({ anchor, onClose, children }: MorePageProps) {
  return (
    <PopUp
      label={t('ui-app.more')}
      anchor={anchor}
      onClose={onClose}
      widthPx={{ least: 200 }}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
    >
      <Stack
        spacing={1.5}
        sx={{ alignItems: 'stretch' }}
        // A place was chosen: what led there is done with.
        onClick={({ target }) => target instanceof Element && target.closest('a') && onClose()}
      >
        {children}
      </Stack>
    </PopUp>
  );
}
