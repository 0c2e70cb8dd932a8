import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { onDemand } from '../onDemand.tsx';
import { typingIn } from '../typingIn.ts';
import { t } from '../words.ts';

const WordsAndKeys = onDemand(() => import('./WordsAndKeys.tsx'));

/** The way to all words and keys: a button, and ? wherever nobody types. */
export function Help() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || typingIn(event.target)) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <Button color="inherit" aria-haspopup="dialog" aria-keyshortcuts="?" onClick={() => setOpen(true)}>
        {t('help.help')}
      </Button>
      <WordsAndKeys isWanted={open} onClose={() => setOpen(false)} />
    </>
  );
}
