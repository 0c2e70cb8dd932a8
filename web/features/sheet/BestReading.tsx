import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { NextReading } from '@lettura/core/judge/weighing';
import { Cautions } from '../../ui/Cautions.tsx';
import { upperFirst } from '../../ui/inWords.ts';
import { stateInBrief } from './stateInBrief.ts';
import { Looked } from './Looked.tsx';
import { VoltScale } from '../../ui/VoltScale.tsx';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { type NextReadingPanelProps, CHANGES } from './nextReadingProps.ts';

export function BestReading({ next, onGo, onLooked, look }: NextReadingPanelProps & { next: NextReading }) {
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
        {t('ui-sheet.about-min', { briefState: upperFirst(stateInBrief(next.state)), minutes: next.minutes })}{' '}
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
