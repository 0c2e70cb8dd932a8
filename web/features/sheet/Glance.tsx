import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { Said } from '../../ui/Said.tsx';
import { briefState } from '../../ui/inWords.ts';
import { titled, t } from '../../ui/words.ts';
import { useWeighed } from '../weighing/index.ts';
import type { NextReadingPanelProps } from './nextReadingProps.ts';
import { shownPercent } from './shownPercent.ts';
import { WeighedSection } from './WeighedSection.tsx';

/** Where all of it can be read; each line of a glance leads there. */
export const REASONING_ID = 'reasoning';
export const STANDING_ID = 'standing';

/** What is proven, in one line that leads to the reasons. */
export function StandingLine() {
  const { weighing } = useWeighed();
  const decided = weighing?.verdict.decided ?? false;
  const leader = weighing?.causes[0];
  return (
    <Button
      fullWidth
      color="inherit"
      href={`#${STANDING_ID}`}
      sx={{ justifyContent: 'flex-start', minHeight: 48, px: 1, textAlign: 'left', lineHeight: 1.2 }}
    >
      <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        {decided ? t('ui-sheet.proven-2') : t('ui-sheet.not-proven-yet-3')}
        {leader && (
          <>
            {' '}
            <Said title message={leader.title} /> {shownPercent(leader.share)}
          </>
        )}
      </Box>
    </Button>
  );
}

/** On a phone: what is proven in one line, and what to read next in two, before anything is scrolled. */
export const Glance = memo(function Glance({
  onGo,
  onLooked,
  look,
}: Pick<NextReadingPanelProps, 'onGo' | 'onLooked' | 'look'>) {
  const { weighing } = useWeighed();
  const next = weighing?.verdict.decided ? undefined : weighing?.next[0];
  const observation = next?.target.kind === 'observation' ? next.target.observation : undefined;
  return (
    <WeighedSection label={t('ui-sheet.at-a-glance')} sx={{ px: 1, pb: 0.5 }}>
      <StandingLine />
      {next && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', pl: 1 }}>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Typography sx={{ fontWeight: 700, lineHeight: 1.25 }}>
              {t('ui-sheet.next')} <Said message={next.title} />
              {observation ? '' : `, ${briefState(next.state)}`}
            </Typography>
            <Typography
              variant="body2"
              sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
            >
              <Said message={next.why} />
            </Typography>
          </Box>
          {observation && !look ? (
            <Button variant="contained" href={`#${REASONING_ID}`} sx={{ minHeight: 48 }}>
              {t('ui-sheet.answer')}
            </Button>
          ) : (
            <Button
              variant="contained"
              aria-label={t('ui-sheet.go-to', { where: titled(next.title) })}
              onClick={() => (observation && look ? onLooked(observation, look(observation)) : onGo(next))}
              sx={{ minHeight: 48, whiteSpace: 'nowrap' }}
            >
              {observation ? t('ui-sheet.look') : t('ui-sheet.go-there')}
            </Button>
          )}
        </Box>
      )}
    </WeighedSection>
  );
});
