import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Help } from '../ui/help/index.ts';
import { onDemand } from '../ui/onDemand.tsx';
import { useScreen } from '../ui/useScreen.ts';
import { t } from '../ui/words.ts';
import { Choices } from './Choices.tsx';

/** The top line of every page: where one is, and the units and theme that hold everywhere. */
export function PageHeader({ title, children }: { title: ReactNode; children?: ReactNode }) {
  // In a hand there is room for where one is, on a tablet for where to go too, and for a way to all the rest.
  const screen = useScreen();
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: { xs: 0.5, sm: 1.5 },
        px: { xs: 1, sm: 2 },
        py: { xs: 0.25, sm: 0.75 },
        bgcolor: 'background.paper',
        borderBottom: 2,
        borderColor: 'text.primary',
      }}
    >
      <Button
        component={Link}
        to="/"
        color="inherit"
        sx={{ fontWeight: 800, fontSize: '1.15rem', px: 1, minHeight: 48, minWidth: 48 }}
      >
        {t('ui-app.lettura')}
      </Button>
      <Typography
        variant="h1"
        sx={{
          flex: 1,
          minWidth: 0,
          fontSize: '1.1rem',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {title}
      </Typography>
      {screen !== 'phone' && children}
      {screen === 'laptop' ? (
        <>
          <Help />
          <Choices />
        </>
      ) : (
        <More>
          <Help />
          {screen === 'phone' && children}
          <Choices />
        </More>
      )}
    </Box>
  );
}

const MorePage = onDemand(() => import('./MorePage.tsx'));

/** Everything that finds no room beside the title, one tap away. */
function More({ children }: { children: ReactNode }) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  return (
    <>
      <Button
        color="inherit"
        variant="outlined"
        aria-haspopup="dialog"
        aria-expanded={anchor !== undefined}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
        sx={{ borderColor: 'sheet.rule', minHeight: 48 }}
      >
        {t('ui-app.more')}
      </Button>
      <MorePage isWanted={anchor !== undefined} anchor={anchor} onClose={() => setAnchor(undefined)}>
        {children}
      </MorePage>
    </>
  );
}
