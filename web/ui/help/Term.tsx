import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { PopUp } from '../PopUp.tsx';
import { t } from '../words.ts';
import { TermDrawing } from './TermDrawing.tsx';
import type { TermId } from './terms.ts';

/** A word of the trade; pressed it opens what it means, with a small drawing. */
export function Term({ id }: { id: TermId }) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const name = t(`help.${id}.name`);
  return (
    <>
      <Button
        size="small"
        color="inherit"
        aria-haspopup="dialog"
        aria-label={t('help.what-is', { name })}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
        sx={{
          minWidth: 0,
          minHeight: { xs: 48, md: 32 },
          px: 0.75,
          fontWeight: 500,
          textDecoration: 'underline dotted',
          textUnderlineOffset: 3,
        }}
      >
        {name}
      </Button>
      <PopUp
        label={name}
        anchor={anchor}
        onClose={() => setAnchor(undefined)}
        widthPx={{ most: 320 }}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Explained id={id} />
      </PopUp>
    </>
  );
}

/** What a word means. */
export const Explained = ({ id }: { id: TermId }) => (
  <Box>
    <Typography variant="h3" component="div">
      {t(`help.${id}.name`)}
    </Typography>
    <TermDrawing term={id} />
    <Typography variant="body2">{t(`help.${id}.means`)}</Typography>
  </Box>
);
