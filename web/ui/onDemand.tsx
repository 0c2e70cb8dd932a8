import Box from '@mui/material/Box';
import { useEffect, useState, type ComponentType } from 'react';
import { t } from './words.ts';

/** What stands closed until it is wanted. */
interface Wanted {
  /** Whether it is to be seen now. */
  isWanted: boolean;
}

const NOTICE = {
  position: 'fixed',
  bottom: 16,
  right: 16,
  left: { xs: 16, sm: 'auto' },
  zIndex: 'tooltip',
  p: 2,
  bgcolor: 'background.paper',
  color: 'text.primary',
  border: 2,
  borderColor: 'error.main',
  borderRadius: 1,
} as const;

/** So long after a page stands it is still busy with itself. */
const QUIET_MS = 1200;

/**
 * A part of a page whose code is fetched while the page rests, or at once where it is wanted sooner: what is seen first waits for no
 * dialog. What could not be fetched is said once it is wanted, and asked for again when it is wanted again.
 */
export function onDemand<Props extends Wanted>(
  load: () => Promise<{ default: ComponentType<Props> }>,
): ComponentType<Props> {
  let known: ComponentType<Props> | undefined;
  let fetching: Promise<void> | undefined;
  const fetched = (): Promise<void> =>
    (fetching ??= load().then(
      (part) => void (known = part.default),
      () => void (fetching = undefined),
    ));
  return function OnDemand(props: Props) {
    const [asked, setAsked] = useState<'not-yet' | 'here' | 'failed'>('not-yet');
    const { isWanted } = props;
    useEffect(() => {
      if (known) return;
      let isHere = true;
      const timer = setTimeout(
        () => void fetched().then(() => isHere && setAsked(known ? 'here' : 'failed')),
        isWanted ? 0 : QUIET_MS,
      );
      return () => {
        isHere = false;
        clearTimeout(timer);
      };
    }, [isWanted]);
    const Part = known;
    if (Part) return <Part {...props} />;
    return isWanted && asked === 'failed' ? (
      <Box role="alert" sx={NOTICE}>
        {t('ui-app.part-not-fetched')}
      </Box>
    ) : null;
  };
}
