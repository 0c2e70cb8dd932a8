import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Remark } from '@lettura/core/judge/checks';
import { type ReactNode } from 'react';
import { useWeighed } from '../weighing/index.ts';
import { STANDING_ID } from './Glance.tsx';
import { Said } from '../../ui/Said.tsx';
import { list, say, type Message } from '@lettura/core/measure/message';
import { t } from '../../ui/words.ts';
import { GateList } from './GateList.tsx';
import { CauseFold } from './CauseFold.tsx';
import { WeighedSection } from './WeighedSection.tsx';

export interface StandingPanelProps {
  remarks: readonly Remark[];
  /** What was changed before anything was read, in words. */
  starting: readonly Message[];
  /** Below the causes. */
  children?: ReactNode;
}

/** The ranked causes, what speaks for and against each, and what is missing before one may be named. */
export function StandingPanel({ remarks, starting, children }: StandingPanelProps) {
  const { weighing } = useWeighed();
  const causes = weighing?.causes ?? [];
  const disagreements = weighing?.disagreements ?? [];
  return (
    <WeighedSection id={STANDING_ID} label={t('ui-sheet.standing')}>
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
          <CauseFold key={cause.cause} cause={cause} leading={i === 0} told={weighing?.stage === 'reasons'} />
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
    </WeighedSection>
  );
}
