import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { JobWeighing, Reach } from '@lettura/core/judge/weighing';
import { memo } from 'react';
import { t } from '../../ui/words.ts';
import { type NextReadingPanelProps } from './nextReadingProps.ts';

export function NothingNext({ weighing }: { weighing: JobWeighing | undefined }) {
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

/** What is weighed meanwhile moves no open menu of it. */
export const HardToReach = memo(function HardToReach({
  reaches,
  onReach,
  hasPair,
}: Pick<NextReadingPanelProps, 'reaches' | 'onReach' | 'hasPair'>) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 1, rowGap: 1.5, py: 1 }}>
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
      {hasPair && (
        <TextField
          select
          size="small"
          label={t('ui-sheet.second-signal-in-live-data')}
          value={reaches['live-volts'] === 'out-of-reach' ? 'out-of-reach' : 'easy'}
          onChange={(event) => onReach('live-volts', event.target.value as Reach)}
          sx={{ gridColumn: '1 / -1' }}
        >
          <MenuItem value="easy">{t('ui-sheet.tool-shows-its-volts')}</MenuItem>
          <MenuItem value="out-of-reach">{t('ui-sheet.tool-shows-no-volts')}</MenuItem>
        </TextField>
      )}
    </Box>
  );
});
