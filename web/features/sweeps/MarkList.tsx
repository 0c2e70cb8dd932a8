import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { SweepMark } from '@lettura/core/recording/sweep';
import { PAPER } from '../../ui/paper.ts';
import { t } from '../../ui/words.ts';

/** What somebody marked while it was recorded, by the numbers that stand in the plot; a tap goes there. */
export function MarkList({
  marks,
  onShow,
}: {
  marks: readonly SweepMark[];
  onShow: (mark: SweepMark) => void;
}) {
  if (marks.length === 0) return null;
  return (
    <Box component="section" aria-label={t('ui-sweeps.marks')} sx={PAPER}>
      <Typography variant="h2">{t('ui-sweeps.marks')}</Typography>
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {marks.map((mark, i) => (
          <li key={`${mark.atSeconds} ${i}`}>
            <Button
              color="inherit"
              onClick={() => onShow(mark)}
              sx={{ justifyContent: 'flex-start', px: 0.5, minHeight: 40, textAlign: 'left' }}
            >
              {i + 1}. {mark.atSeconds.toFixed(1)} s: {mark.words}
            </Button>
          </li>
        ))}
      </Box>
    </Box>
  );
}
