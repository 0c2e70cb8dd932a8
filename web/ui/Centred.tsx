import Box from '@mui/material/Box';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';

/** While something loads, and where it did not. */
export function Loading({ what }: { what: string }) {
  return (
    <Box role="status" sx={{ display: 'flex', gap: 2, alignItems: 'center', justifyContent: 'center', p: 6 }}>
      <CircularProgress size={28} aria-hidden="true" />
      <Typography>Loading {what} …</Typography>
    </Box>
  );
}

export function Trouble({
  message,
  next,
  children,
}: {
  message: string;
  next: string;
  children?: React.ReactNode;
}) {
  return (
    <Box role="alert" sx={{ p: 6, textAlign: 'center' }}>
      <Typography variant="h2">{message}</Typography>
      <Typography sx={{ mb: 2 }}>{next}</Typography>
      {children}
    </Box>
  );
}
