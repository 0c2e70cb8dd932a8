import { SCHOOL_IDS, type NextReading, type Plan } from '@lettura/core/judge/weighing';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { z } from 'zod';
import { stored } from '../../app/stored.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { briefState } from '../../ui/inWords.ts';
import { Said } from '../../ui/Said.tsx';
import { titled, t } from '../../ui/words.ts';
import { shownPercent } from './shownPercent.ts';
import { TakeAlong } from './TakeAlong.tsx';

const BEGINNINGS = ['most-telling', ...SCHOOL_IDS] as const;
/** Whoever was taught one way begins that way on every job. */
const begunWith = stored<(typeof BEGINNINGS)[number]>(
  'lettura.begin-with',
  z.enum(BEGINNINGS),
  'most-telling',
);

export interface PlanPanelProps {
  plan: Plan;
  /** The best ones to begin with, in their order. */
  next: readonly NextReading[];
  onGo: (next: NextReading) => void;
}

/** The first page of a job: what is suspected before anything is read, the first readings, and what another beginning costs. */
export function PlanPanel({ plan, next, onGo }: PlanPanelProps) {
  const [school, setSchool] = useState(() => begunWith.load());
  const begin = plan.beginnings.find((one) => one.school === school);
  return (
    <Box component="section" aria-label={t('ui-sheet.plan')} sx={{ pt: 0.5 }}>
      <Typography variant="h3" component="h3">
        {t('ui-sheet.plan')}
      </Typography>
      <Typography variant="body2">{t('ui-sheet.plan-suspected')}</Typography>
      <Box component="ul" aria-label={t('ui-sheet.plan-suspects')} sx={{ my: 0.5, pl: 2.5 }}>
        {plan.suspected.map(({ title, share }) => (
          <Typography component="li" variant="body2" key={titled(title)}>
            <strong>{shownPercent(share)}</strong> <Said message={title} />
          </Typography>
        ))}
      </Box>
      <Typography variant="body2">{t('ui-sheet.plan-order')}</Typography>
      <Box component="ol" aria-label={t('ui-sheet.plan-readings')} sx={{ my: 0.5, pl: 2.5 }}>
        {next.map((one) => (
          <Typography component="li" variant="body2" key={titled(one.title) + briefState(one.state)}>
            {t('ui-sheet.min-2', { where: where(one), minutes: one.minutes })}
          </Typography>
        ))}
      </Box>
      <TakeAlong next={next} />
      <TextField
        select
        fullWidth
        size="small"
        label={t('ui-sheet.begin-with')}
        value={school}
        onChange={({ target }) => {
          const chosen = BEGINNINGS.find((one) => one === target.value) ?? 'most-telling';
          begunWith.save(chosen);
          setSchool(chosen);
        }}
        sx={{ my: 0.5 }}
      >
        {BEGINNINGS.map((one) => (
          <MenuItem key={one} value={one} sx={{ minHeight: 48 }}>
            {t(`ui-sheet.begin-${one}`)}
          </MenuItem>
        ))}
      </TextField>
      {school !== 'most-telling' && !begin && (
        <Typography variant="body2">{t('ui-sheet.begin-not-here')}</Typography>
      )}
      {begin && (
        <Box>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <Typography variant="body2" sx={{ flex: 1 }}>
              {t('ui-sheet.min-2', { where: where(begin.next), minutes: begin.next.minutes })}.{' '}
              {t('ui-sheet.begin-costs', { minutes: begin.dearerByMinutes })}
            </Typography>
            <Button variant="outlined" color="inherit" onClick={() => onGo(begin.next)}>
              {t('ui-sheet.begin-here')}
            </Button>
          </Box>
          <Typography variant="body2">
            <Said message={begin.next.how} />
          </Typography>
          <Cautions cautions={begin.next.cautions} />
        </Box>
      )}
    </Box>
  );
}

const where = ({ target, title, state }: NextReading): string =>
  target.kind === 'observation' ? titled(title) : `${titled(title)}, ${briefState(state)}`;
