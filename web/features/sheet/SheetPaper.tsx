import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

export interface SheetPaperProps {
  area: 'lanes' | 'section' | 'reasoning';
  /** What a link leads to. */
  id?: string;
  scroll?: boolean;
  children: ReactNode;
}

/** One area of the sheet. An area that scrolls by itself keeps the lanes and the reasoning in view. */
export function SheetPaper({ area, id, scroll = false, children }: SheetPaperProps) {
  return (
    <Box
      id={id}
      sx={{
        gridArea: area,
        position: 'relative',
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'sheet.rule',
        borderRadius: 1,
        p: 1.25,
        minHeight: 0,
        minWidth: 0,
        overflowY: scroll ? { md: 'auto' } : 'visible',
        // What changes in one area lays out no other: a reading changes all of them, one after the other.
        contain: { md: scroll ? 'strict' : 'layout style' },
      }}
      // A region that scrolls must be reachable without a pointer.
      tabIndex={scroll ? 0 : undefined}
    >
      {children}
    </Box>
  );
}
