import Box from '@mui/material/Box';
import type { SxProps } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { useIsSettled } from '../weighing/index.ts';

export interface WeighedSectionProps {
  label: string;
  id?: string;
  sx?: SxProps;
  children: ReactNode;
}

/** A part of the sheet that says what was weighed: busy while something newer is, and only that is drawn anew then. */
export function WeighedSection({ label, id, sx = {}, children }: WeighedSectionProps) {
  const settled = useIsSettled();
  return (
    <Box component="section" id={id} aria-label={label} aria-busy={!settled} sx={sx}>
      {children}
    </Box>
  );
}
