import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { GuideStep, SweepGuide } from '@lettura/core/judge/checks';
import { NUMERALS } from '../../app/theme.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { Said } from '../../ui/Said.tsx';
import { wordsIn, t } from '../../ui/words.ts';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';

export interface GuideStepsProps {
  guides: readonly SweepGuide[];
  guide: SweepGuide | undefined;
  /** The step in hand. */
  at: number;
  onGuide: (id: string) => void;
  onStep: (at: number) => void;
  /** Moves the simulated machine; left out where there is a real one. */
  onDo?: ((step: GuideStep) => void) | undefined;
}

/** What to do while it is recorded, step by step, with what the signal should be at each. */
export function GuideSteps({ guides, guide, at, onGuide, onStep, onDo }: GuideStepsProps) {
  const words = wordsIn(useSelector(selectUnits));
  return (
    <Box>
      <TextField
        select
        size="small"
        fullWidth
        label={t('ui-record.will-done')}
        value={guide?.id ?? ''}
        onChange={(event) => onGuide(event.target.value)}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        {guides.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            <Said message={name} />
          </MenuItem>
        ))}
        <MenuItem value="">{t('ui-record.something-else')}</MenuItem>
      </TextField>
      {guide && (
        <>
          <Typography variant="body2" sx={{ my: 0.5 }}>
            <Said message={guide.how} />
          </Typography>
          <Cautions cautions={guide.cautions} />
          <Box component="ol" aria-label={t('ui-record.steps')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {guide.steps.map((step, i) => (
              <Box
                component="li"
                key={i}
                aria-current={i === at ? 'step' : undefined}
                sx={{
                  display: 'flex',
                  alignItems: 'center',
                  gap: 0.5,
                  borderLeft: 4,
                  borderColor: i === at ? 'primary.main' : 'transparent',
                  bgcolor: i === at ? 'sheet.inset' : 'transparent',
                }}
              >
                <Button
                  color="inherit"
                  onClick={() => onStep(i)}
                  sx={{
                    flex: 1,
                    justifyContent: 'space-between',
                    flexWrap: 'wrap',
                    columnGap: 1,
                    px: 1,
                    minHeight: 40,
                    textAlign: 'left',
                  }}
                >
                  <span>
                    <Said message={step.words} />
                  </span>
                  <Box component="span" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap', fontWeight: 400 }}>
                    {step.expectedVolts ? bandInWords(step.expectedVolts) : ''}
                  </Box>
                </Button>
                {onDo && (
                  <Button
                    size="small"
                    variant="outlined"
                    aria-label={t('ui-record.do-it', { say: words.say(step.words) })}
                    onClick={() => {
                      onStep(i);
                      onDo(step);
                    }}
                    sx={{ minWidth: 64, my: 0.25 }}
                  >
                    {t('ui-record.do-it-2')}
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

export const bandInWords = ({ lowest, highest }: { lowest: number; highest: number }): string =>
  t('ui-record.to-v', { lowest: lowest.toFixed(2), highest: highest.toFixed(2) });
