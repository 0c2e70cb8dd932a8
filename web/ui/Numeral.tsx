import TableCell from '@mui/material/TableCell';
import type { ReactNode } from 'react';
import { NUMERALS } from '../app/theme.ts';

/** A cell for a number with its unit: tabular figures, right-aligned, never broken. */
export const Numeral = ({ children }: { children: ReactNode }) => (
  <TableCell align="right" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
    {children}
  </TableCell>
);
