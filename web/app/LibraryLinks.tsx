import Button from '@mui/material/Button';
import { Link, useLocation } from 'react-router';

const PLACES = [
  { to: '/sweeps', label: 'Sweeps' },
  { to: '/sensors', label: 'Sensors' },
  { to: '/instruments', label: 'Instruments' },
  { to: '/reference', label: 'Reference' },
] as const;

/** The places beside the jobs; the one that is open is left out. */
export function LibraryLinks() {
  const { pathname } = useLocation();
  return PLACES.filter(({ to }) => !pathname.startsWith(to)).map(({ to, label }) => (
    <Button
      key={to}
      component={Link}
      to={to}
      color="inherit"
      sx={{ display: { xs: 'none', sm: 'inline-flex' } }}
    >
      {label}
    </Button>
  ));
}
