import Button from '@mui/material/Button';
import { Link, useLocation } from 'react-router';
import { t } from '../ui/words.ts';

const PLACES = [
  { to: '/sweeps', label: t('ui-app.sweeps') },
  { to: '/sensors', label: t('ui-app.sensors') },
  { to: '/instruments', label: t('ui-app.instruments') },
  { to: '/reference', label: t('ui-app.reference') },
] as const;

/** The places beside the jobs; the one that is open is left out. */
export function LibraryLinks() {
  const { pathname } = useLocation();
  return PLACES.filter(({ to }) => !pathname.startsWith(to)).map(({ to, label }) => (
    <Button key={to} component={Link} to={to} color="inherit">
      {label}
    </Button>
  ));
}
