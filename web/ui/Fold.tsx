import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';

export interface FoldProps {
  summary: string;
  /** Where something stands in it that was begun before. */
  startsOpen?: boolean;
  children: ReactNode;
}

/** Something to unfold; what is folded away costs nothing while the sheet is drawn again and again. */
export function Fold({ summary, startsOpen = false, children }: FoldProps) {
  const [open, setOpen] = useState(startsOpen);
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <Box
        component="summary"
        sx={{ cursor: 'pointer', minHeight: 32, pt: 0.75, fontSize: '0.9rem', fontWeight: 600 }}
      >
        {summary}
      </Box>
      {open && children}
    </details>
  );
}
