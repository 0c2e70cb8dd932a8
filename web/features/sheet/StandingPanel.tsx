import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Remark } from '@lettura/core/judge/checks';
import type { JobWeighing, Statement, Strength, WeighedCause } from '@lettura/core/judge/weighing';
import { memo, type ReactNode } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { classInWords } from '../../ui/inWords.ts';
import { useWeighed } from '../weighing/index.ts';
import { STANDING_ID } from './Glance.tsx';
import { shownPercent } from './shownPercent.ts';
import { Fold } from '../../ui/Fold.tsx';
import { Said } from '../../ui/Said.tsx';
import { list, say, type Message } from '@lettura/core/measure/message';
import { timesInWords } from '../../ui/numbersInWords.ts';
import { t } from '../../ui/words.ts';

/** The heading says it already. */

export interface StandingPanelProps {
  remarks: readonly Remark[];
  /** What was changed before anything was read, in words. */
  starting: readonly Message[];
  /** Below the causes. */
  children?: ReactNode;
}

/** The ranked causes, what speaks for and against each, and what is missing before one may be named. */
export function StandingPanel({ remarks, starting, children }: StandingPanelProps) {
  // Not settled while something newer is being weighed.
  const { weighing, settled } = useWeighed();
  const causes = weighing?.causes ?? [];
  const disagreements = weighing?.disagreements ?? [];
  return (
    <Box component="section" id={STANDING_ID} aria-label={t('ui-sheet.standing')} aria-busy={!settled}>
      <Typography variant="h2" component="h2">
        {t('ui-sheet.standing-2', {
          which: weighing?.verdict.decided ? t('ui-sheet.proven') : t('ui-sheet.not-proven-yet'),
        })}
      </Typography>
      {weighing && causes.length > 0 && (
        <Typography sx={{ fontWeight: 600 }}>
          <Said message={weighing.verdict.sentence} />
        </Typography>
      )}
      {starting.length > 0 && (
        <Typography variant="body2">
          {t('ui-sheet.weighed-with')}{' '}
          <Said message={say('report.starting', { list: list(starting, 'semicolons') })} />.
        </Typography>
      )}
      {disagreements.map(({ sentence }) => (
        <Typography
          key={JSON.stringify(sentence)}
          sx={{ color: 'standing.faulty', fontWeight: 600, mt: 0.5 }}
        >
          ✕ <Said message={sentence} />
        </Typography>
      ))}
      {weighing?.doubtful.map(({ readingId, sentence }) => (
        <Typography key={readingId} sx={{ color: 'warning.main', fontWeight: 600, mt: 0.5 }}>
          ? <Said message={sentence} />
        </Typography>
      ))}
      {causes.length === 0 && disagreements.length === 0 && (
        <Typography>
          {weighing ? t('ui-sheet.no-reading-says-anything-yet') : t('ui-sheet.record-being-weighed')}
        </Typography>
      )}
      <Box
        component="ol"
        aria-label={t('ui-sheet.causes-likeliest-first')}
        sx={{ listStyle: 'none', p: 0, m: 0 }}
      >
        {causes.map((cause, i) => (
          <Cause key={cause.cause} cause={cause} leading={i === 0} told={weighing?.stage === 'reasons'} />
        ))}
      </Box>
      {weighing?.overturns && (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          <strong>{t('ui-sheet.would-overturn')}</strong> <Said message={weighing.overturns} />
        </Typography>
      )}
      {weighing && causes[0] && <GateList gate={weighing.gate} title={causes[0].title} />}
      {children}
      {remarks.map(({ sentence }) => (
        <Typography key={JSON.stringify(sentence)} variant="body2" sx={{ mt: 0.5 }}>
          {t('ui-sheet.note')} <Said message={sentence} />
        </Typography>
      ))}
    </Box>
  );
}

interface CauseProps {
  cause: WeighedCause;
  leading: boolean;
  told: boolean;
}

const Cause = memo(function Cause({ cause, leading, told }: CauseProps) {
  const { kinds, speaksFor, speaksAgainst } = cause;
  const more = speaksFor.slice(1).length + speaksAgainst.slice(1).length;
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <details open={leading}>
        <Box
          component="summary"
          sx={{ cursor: 'pointer', minHeight: 32, display: 'flex', alignItems: 'center', gap: 1 }}
        >
          <Box component="span" sx={{ fontFamily: NUMERALS, fontWeight: 700, width: 44, textAlign: 'right' }}>
            {shownPercent(cause.share)}
          </Box>
          <Box component="span" sx={{ flex: 1, fontWeight: leading ? 700 : 500, lineHeight: 1.2 }}>
            <Said message={cause.title} />
          </Box>
          <Box component="span" sx={{ fontSize: '0.8rem', color: 'text.secondary', whiteSpace: 'nowrap' }}>
            {classInWords(cause.class)}
          </Box>
        </Box>
        <Box
          aria-hidden="true"
          sx={{
            height: 5,
            ml: '52px',
            bgcolor: 'sheet.inset',
            border: 1,
            borderColor: 'sheet.rule',
            borderRadius: 1,
          }}
        >
          <Box sx={{ height: '100%', width: `${cause.share * 100}%`, bgcolor: 'text.primary' }} />
        </Box>
        <Box sx={{ pl: '52px', pt: 0.5 }}>
          {kinds.length > 0 && cause.class !== 'physical' && (
            <Typography variant="body2">
              {t('ui-sheet.most-like')}{' '}
              <Said
                message={say('standing.kinds', {
                  kinds: list(
                    kinds.map(({ name }) => name),
                    'or',
                  ),
                })}
              />
              .
            </Typography>
          )}
          {/* The strongest on either side first; all of it is a tap away. */}
          <Statements word={t('ui-sheet.for')} statements={speaksFor.slice(0, 1)} />
          <Statements word={t('ui-sheet.against')} statements={speaksAgainst.slice(0, 1)} />
          {more > 0 && (
            <Fold summary={t('ui-sheet.more-reasons', { count: more })}>
              <Statements word={t('ui-sheet.for')} statements={speaksFor.slice(1)} />
              <Statements word={t('ui-sheet.against')} statements={speaksAgainst.slice(1)} />
            </Fold>
          )}
          {told && speaksFor.length + speaksAgainst.length === 0 && (
            <Typography variant="body2">{t('ui-sheet.no-reading-speaks-against-yet')}</Typography>
          )}
        </Box>
      </details>
    </Box>
  );
});

const STRENGTH_WORDS: Record<Strength, string> = {
  decides: t('ui-sheet.decides'),
  strong: t('ui-sheet.strong'),
  some: t('ui-sheet.some'),
};

const Statements = ({ word, statements }: { word: string; statements: readonly Statement[] }) =>
  statements.map(({ readingId, sentence, strength, factor }) => (
    <Typography
      key={readingId}
      variant="body2"
      title={t('ui-sheet.as-likely-it', {
        times: timesInWords(factor > 1 ? factor : 1 / factor),
        with: factor > 1,
      })}
    >
      <strong>{word}</strong>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {' '}
        ({STRENGTH_WORDS[strength]})
      </Box>
      : <Said message={sentence} />
    </Typography>
  ));

const GATE_MARK = { proven: '✓', missing: '○', refuted: '✕' } as const;
const GATE_WORD = {
  proven: t('ui-sheet.shown'),
  missing: t('ui-sheet.still-show'),
  refuted: t('ui-sheet.does-not-hold'),
} as const;
const GATE_COLOUR = {
  proven: 'standing.proven',
  missing: 'text.primary',
  refuted: 'standing.faulty',
} as const;

export function GateList({ gate, title }: { gate: JobWeighing['gate']; title: Message }) {
  if (gate.length === 0) return null;
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 0.5, mt: 0.5 }}>
      <Typography variant="h3" component="h3">
        {t('ui-sheet.before')}
        <Said title message={title} />
        {t('ui-sheet.may-named')}
      </Typography>
      <Box component="ul" aria-label={t('ui-sheet.proof')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {gate.map(({ label, state }) => (
          <Typography
            key={JSON.stringify(label)}
            component="li"
            variant="body2"
            sx={{ color: GATE_COLOUR[state] }}
          >
            {GATE_MARK[state]} <Said title message={label} />: {GATE_WORD[state]}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
