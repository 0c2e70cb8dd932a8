import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';

/** What the application is held in: one thumb, two hands, or a table. */
export type Screen = 'phone' | 'tablet' | 'laptop';

export function useScreen(): Screen {
  const { breakpoints } = useTheme();
  const isPhone = useMediaQuery(breakpoints.down('sm'), { noSsr: true });
  const isNarrow = useMediaQuery(breakpoints.down('md'), { noSsr: true });
  return isPhone ? 'phone' : isNarrow ? 'tablet' : 'laptop';
}
