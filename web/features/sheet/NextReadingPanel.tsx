import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Place } from '@lettura/core/machine/places';
import type { FamilyId } from '@lettura/core/machine/family';
import type { JobWeighing, NextReading, Plan, Reach, Reaches } from '@lettura/core/judge/weighing';
import { memo } from 'react';
import { Fold } from '../../ui/Fold.tsx';
import { Cautions } from '../../ui/Cautions.tsx';
import { briefState, upperFirst } from '../../ui/inWords.ts';
import { useAltKey } from '../../ui/useAltKey.ts';
import { useWeighed } from '../weighing/index.ts';
import { AnyLook, Looked, type LookedProps } from './Looked.tsx';
import { PlanPanel } from './PlanPanel.tsx';
import { TakeAlong } from './TakeAlong.tsx';
import { VoltScale } from '../../ui/VoltScale.tsx';
import { Said } from '../../ui/Said.tsx';
import { titled, t } from '../../ui/words.ts';

export interface NextReadingPanelProps extends LookedProps {
  family: FamilyId;
  onGo: (next: NextReading) => void;
  reaches: Reaches;
  onReach: (place: Place, reach: Reach) => void;
}

/** Where to read next, why, and what each answer would mean, before the probe is moved; and two more that are worth it. */
export const NextReadingPanel = memo(function NextReadingPanel(props: NextReadingPanelProps) {
  const { weighing } = useWeighed();
  // Once a cause is proven the work is done; more can be read all the same.
  const decided = weighing?.verdict.decided ?? false;
  const [first, ...others] = [...(decided ? [undefined] : []), ...(weighing?.next ?? [])];
  useAltKey('KeyN', () => weighing?.next[0] && props.onGo(weighing.next[0]));
  return (
    <Box component="section" aria-label={t('ui-sheet.next-reading')}>
      {first ? <Best {...props} next={first} /> : <NothingNext weighing={weighing} />}
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
          <li key={titled(next.title) + briefState(next.state)}>
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
  const where = target.kind === 'observation' ? titled(title) : `${titled(title)}, ${briefState(state)}`;
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

function Best({ next, onGo, onLooked, look }: NextReadingPanelProps & { next: NextReading }) {
  const { target } = next;
  const letters = lettersOf(next.answers);
  const bands = next.answers.flatMap(({ volts, asExpected }, i) =>
    volts ? [{ ...volts, mark: letters[i]!, isExpected: asExpected }] : [],
  );
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
          {t('ui-sheet.next')} <Said message={next.title} />
        </Typography>
        {target.kind === 'observation' ? (
          look && (
            <Button
              variant="contained"
              aria-keyshortcuts="Alt+N"
              title={t('ui-sheet.alt-n')}
              onClick={() => onLooked(target.observation, look(target.observation))}
            >
              {t('ui-sheet.look')}
            </Button>
          )
        ) : (
          <Button
            variant="contained"
            onClick={() => onGo(next)}
            aria-keyshortcuts="Alt+N"
            title={t('ui-sheet.alt-n')}
          >
            {t('ui-sheet.go-there')}
          </Button>
        )}
      </Box>
      <Typography variant="body2">
        {t('ui-sheet.about-min', { briefState: upperFirst(briefState(next.state)), minutes: next.minutes })}{' '}
        <Said message={next.why} />
      </Typography>
      {target.kind === 'observation' && !look && (
        <Looked observation={target.observation} onLooked={onLooked} look={undefined} />
      )}
      {bands.length > 0 && <VoltScale bands={bands} />}
      <Box component="ul" aria-label={t('ui-sheet.each-answer-would-mean')} sx={{ pl: 2.25, my: 0.5 }}>
        {next.answers.map(({ outcome, then, change, asExpected }, i) => (
          <Typography key={JSON.stringify(outcome)} component="li" variant="body2">
            <strong>
              {bands.length > 0 && letters[i] ? `${letters[i]}: ` : ''}
              <Said message={outcome} />
            </strong>
            {asExpected ? t('ui-sheet.as-it-should-be') : ''} → <Said message={then} />, {CHANGES[change]}
          </Typography>
        ))}
      </Box>
      <Typography variant="body2">
        <Said message={next.how} />
      </Typography>
      <Cautions cautions={next.cautions} />
    </>
  );
}

/** What each answer is marked with on the scale; what is expected needs no letter there. */
function lettersOf(answers: NextReading['answers']): readonly string[] {
  let others = 0;
  return answers.map(({ asExpected }) => (asExpected ? '' : String.fromCharCode(65 + others++)));
}

const CHANGES: Record<NextReading['answers'][number]['change'], string> = {
  surer: t('ui-sheet.surer-than-now'),
  'as-now': t('ui-sheet.sure-now'),
  'less-sure': t('ui-sheet.less-sure-than-now'),
};

function NothingNext({ weighing }: { weighing: JobWeighing | undefined }) {
  const [heading, words] =
    !weighing || weighing.stage === 'ranked'
      ? [t('ui-sheet.looking-next-reading'), t('ui-sheet.circuit-sensor-being-worked-out')]
      : weighing.verdict.decided
        ? [
            t('ui-sheet.nothing-more-read'),
            weighing.causes[0]?.class === 'nothing'
              ? t('ui-sheet.record-verdict-nothing-wrong')
              : t('ui-sheet.record-verdict-then-repair'),
          ]
        : [t('ui-sheet.no-reading-left-would-settle'), t('ui-sheet.take-doubtful-readings-again-record')];
  return (
    <>
      <Typography variant="h2" component="h2">
        {heading}
      </Typography>
      <Typography variant="body2">{words}</Typography>
    </>
  );
}

const REACH_WORDS: Record<Reach, string> = {
  easy: t('ui-sheet.easy-reach'),
  awkward: t('ui-sheet.awkward-costs-quarter-hour'),
  'out-of-reach': t('ui-sheet.out-reach'),
};
const HIDDEN_PLACES = {
  unit: t('ui-sheet.control-unit'),
  connector: t('ui-sheet.inline-connector'),
} as const;

function HardToReach({ reaches, onReach }: Pick<NextReadingPanelProps, 'reaches' | 'onReach'>) {
  return (
    <Box sx={{ display: 'flex', gap: 1, py: 1 }}>
      {(Object.keys(HIDDEN_PLACES) as (keyof typeof HIDDEN_PLACES)[]).map((place) => (
        <TextField
          key={place}
          select
          size="small"
          fullWidth
          label={HIDDEN_PLACES[place]}
          value={reaches[place] ?? 'easy'}
          onChange={(event) => onReach(place, event.target.value as Reach)}
        >
          {Object.entries(REACH_WORDS).map(([reach, words]) => (
            <MenuItem key={reach} value={reach}>
              {words}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </Box>
  );
}
