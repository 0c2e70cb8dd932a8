import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { NextReading, Plan } from '@lettura/core/judge/weighing';
import { memo } from 'react';
import { Fold } from '../../ui/Fold.tsx';
import { stateInBrief } from './stateInBrief.ts';
import { useAltKey } from '../../ui/useAltKey.ts';
import { useWeighed } from '../weighing/index.ts';
import { AnyLook, Looked } from './Looked.tsx';
import { PlanPanel } from './PlanPanel.tsx';
import { TakeAlong } from './TakeAlong.tsx';
import { Said } from '../../ui/Said.tsx';
import { titled, t } from '../../ui/words.ts';
import { NothingNext, HardToReach } from './NothingNext.tsx';
import { type NextReadingPanelProps } from './nextReadingProps.ts';
import { BestReading } from './BestReading.tsx';

/** Where to read next, why, and what each answer would mean, before the probe is moved; and two more that are worth it. */
export const NextReadingPanel = memo(function NextReadingPanel(props: NextReadingPanelProps) {
  const { weighing } = useWeighed();
  // Once a cause is proven the work is done; more can be read all the same.
  const decided = weighing?.verdict.decided ?? false;
  const [first, ...others] = [...(decided ? [undefined] : []), ...(weighing?.next ?? [])];
  useAltKey('KeyN', () => weighing?.next[0] && props.onGo(weighing.next[0]));
  return (
    <Box component="section" aria-label={t('ui-sheet.next-reading')}>
      {first ? <BestReading {...props} next={first} /> : <NothingNext weighing={weighing} />}
      {weighing?.plan && <PlanPanel plan={weighing.plan} next={weighing.next} onGo={props.onGo} />}
      {weighing && (
        <More
          {...props}
          plan={weighing.plan}
          all={weighing.next}
          others={others.filter((next) => next !== undefined)}
        />
      )}
    </Box>
  );
});

function More({
  plan,
  all,
  others,
  family,
  onGo,
  onLooked,
  look,
  ...reach
}: NextReadingPanelProps & {
  plan: Plan | undefined;
  all: readonly NextReading[];
  others: readonly NextReading[];
}) {
  return (
    <Fold summary={t('ui-sheet.other-readings-looks-hard-reach')}>
      {!plan && <TakeAlong next={all} />}
      <Box
        component="ul"
        aria-label={t('ui-sheet.also-worth-reading')}
        sx={{ listStyle: 'none', p: 0, m: 0 }}
      >
        {others.map((next) => (
          <li key={titled(next.title) + stateInBrief(next.state)}>
            <Other {...{ next, onGo, onLooked, look }} />
          </li>
        ))}
      </Box>
      <AnyLook {...{ family, onLooked, look }} />
      <HardToReach {...reach} />
    </Fold>
  );
}

function Other({
  next,
  onGo,
  onLooked,
  look,
}: Pick<NextReadingPanelProps, 'onGo' | 'onLooked' | 'look'> & { next: NextReading }) {
  const { target, title, minutes, state } = next;
  if (target.kind === 'observation' && !look)
    return (
      <>
        <Typography variant="body2" sx={{ fontWeight: 600, pt: 0.5 }}>
          <Said title message={title} /> {t('ui-sheet.min', { minutes })}
        </Typography>
        <Looked observation={target.observation} onLooked={onLooked} look={undefined} />
      </>
    );
  const where = target.kind === 'observation' ? titled(title) : `${titled(title)}, ${stateInBrief(state)}`;
  return (
    <Button
      color="inherit"
      fullWidth
      sx={{ justifyContent: 'flex-start', textAlign: 'left', minHeight: 44, lineHeight: 1.2 }}
      onClick={() => onGo(next)}
    >
      {t('ui-sheet.min-2', { where, minutes })}
    </Button>
  );
}
