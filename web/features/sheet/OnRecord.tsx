import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { t } from '../../ui/words.ts';

/** Lines of the record outside of its table, each with a way to take it back. */
export function OnRecord<L extends { id: string }>({
  label,
  lines,
  nameOf,
  children,
  onTakeBack,
}: {
  label: string;
  lines: readonly L[];
  nameOf: (line: L) => string;
  children: (line: L) => ReactNode;
  onTakeBack: (line: L) => void;
}) {
  if (lines.length === 0) return null;
  return (
    <Box component="ul" aria-label={label} sx={{ pl: 2.5, my: 1 }}>
      {lines.map((line) => (
        <li key={line.id}>
          {children(line)}{' '}
          <Button
            size="small"
            color="inherit"
            aria-label={t('ui-sheet.take-back', { value: nameOf(line) })}
            onClick={() => onTakeBack(line)}
          >
            {t('ui-sheet.take-back-2')}
          </Button>
        </li>
      ))}
    </Box>
  );
}
