import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';

/** Something to unfold; what is folded away costs nothing while the sheet is drawn again and again. */
export function Fold({ summary, children }: { summary: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
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
