import TableCell from '@mui/material/TableCell';
import type { ReactNode } from 'react';
import { NUMERALS } from '../app/theme.ts';
import type { WIDE_ONLY } from './wideOnly.ts';

/** A cell for a number with its unit: tabular figures, right-aligned, never broken. */
export const Numeral = ({ children, sx }: { children: ReactNode; sx?: typeof WIDE_ONLY }) => (
  <TableCell align="right" sx={{ ...sx, fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
    {children}
  </TableCell>
);
