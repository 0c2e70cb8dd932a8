import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

export const Heading = ({ children }: { children: ReactNode }) => (
  <Typography variant="h2" component="h2" sx={{ mt: 2, borderBottom: 1, borderColor: 'sheet.rule' }}>
    {children}
  </Typography>
);
