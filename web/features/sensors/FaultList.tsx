import Box from '@mui/material/Box';
import type { FileFault } from '@lettura/contract';
import { said, t } from '../../ui/words.ts';

/** What is wrong in a file, and where; a long list is cut, since the first lines tell what kind of file it is. */
const MOST_SHOWN = 20;

export function FaultList({ faults }: { faults: readonly FileFault[] }) {
  if (faults.length === 0) return null;
  return (
    <Box component="ul" aria-label={t('ui-sensors.wrong-file')} sx={{ pl: 2.5, my: 0.5 }}>
      {faults.slice(0, MOST_SHOWN).map(({ where, what }, i) => (
        <li key={i}>
          <strong>{said(where)}</strong>: {said(what)}
        </li>
      ))}
      {faults.length > MOST_SHOWN && (
        <li>{t('ui-sensors.and-more', { length: faults.length - MOST_SHOWN })}</li>
      )}
    </Box>
  );
}
